@props(['list', 'item', 'name', 'title'])
{{-- The revisions of an item's structure or routing, and a draft to begin. --}}
<h2 class="mt-0">{{ $title }}</h2>
@if ($list->all === [])
    <div class="none">No {{ $list->kind->label() }} yet.</div>
@else
    <table class="list">
        <thead><tr><th>Revision</th><th>State</th><th>By</th><th>Why</th><th></th></tr></thead>
        <tbody>
            @foreach ($list->all as $one)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route($name.'.show', $one->id) }}">{{ $one->revision }}</a>
                    </td>
                    <td @class(['tight', 'soon' => $one->isDraft, 'sub' => $one->isReplaced()])>{{ $one->state() }}</td>
                    <td class="cut sub">{{ $one->signed() }}</td>
                    <td class="cut">{{ $one->note }}</td>
                    <td class="tight">
                        @if ($one->isInForce && $list->draft() === null)
                            @can('draw-up')
                                <x-form :to="route($name.'.store', $item->id)" :key="$name.$one->id">
                                    <input type="hidden" name="from" value="{{ $one->id }}">
                                    <button class="btn btn-quiet btn-small">Change it in a draft</button>
                                </x-form>
                            @endcan
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
@if ($list->draft() === null)
    @can('draw-up')
        <x-form class="actions mb-3" :to="route($name.'.store', $item->id)" :key="$name">
            <button class="btn btn-quiet btn-small">Begin a {{ $list->kind->label() }}</button>
            <x-field bare name="like" :label="'Number of an item whose '.$list->kind->label().' it begins with'"
                placeholder="empty, or as that of item …" size="24" maxlength="40" list="items" />
            <datalist id="items" hx-get="{{ route('items.choose') }}?q=" hx-trigger="focusin from:closest form once"
                ></datalist>
        </x-form>
    @endcan
@endif
