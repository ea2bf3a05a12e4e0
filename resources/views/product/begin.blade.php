{{-- From a revision to another: beside it, or on from it. --}}
@if ($page->revisions->areSeveral())
    <h2>Beside another</h2>
    <nav class="pick" aria-label="Beside">
        @foreach ($page->revisions->all as $one)
            @if ($page->state()?->id !== $one->id)
                <a href="?beside={{ $one->id }}" @if ($other?->id === $one->id) aria-current="true" @endif>{{
                    $one->revision }}</a>
            @endif
        @endforeach
    </nav>
@endif
<x-take-one :kinds="[$page->revisions->kind->value]" :field="$page->revisions->kind->label()"
    :id="$page->state()?->id" />
@if ($page->revisions->draft() === null)
    @can('draw-up')
        <x-form class="actions" :to="route($page->revisions->kind->value.'.store', $item->id)" key="begin">
            <input type="hidden" name="from" value="{{ $page->state()?->id }}">
            <button class="btn btn-quiet btn-small">Change it in a draft</button>
        </x-form>
    @endcan
@endif
