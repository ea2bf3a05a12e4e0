{{-- What came back, in one touch, or counted: that form is asked for when it is opened. --}}
<div class="d-flex gap-2">
    <x-form class="mb-0" :key="$row->form('good')" :to="route('outside.store', $row->stepId)">
        <input type="hidden" name="good" value="{{ $print->amount($row->there) }}">
        @if ($row->next)
            <input type="hidden" name="pass_on" value="{{ $print->amount($row->there) }}">
        @endif
        <button class="btn btn-act btn-small">{{ $row->allGoodSays($print->amount($row->there)) }}</button>
    </x-form>
    <x-more summary="else" :open="$isTyped">
        @if ($isTyped)
            @include('outside.back')
        @else
            <x-later :from="route('outside.edit', $row->stepId)" />
        @endif
    </x-more>
</div>
