@props(['kind', 'partner'])
{{-- Done with a customer or supplier, or dealt with again. --}}
@can($kind->right()->value)
    @if ($partner->retired_at)
        <x-form method="delete" class="actions" :to="route($kind->value.'.bring-back', $partner->id)">
            <input type="hidden" name="version" value="{{ $partner->version }}">
            <button class="btn btn-quiet btn-small">Deal with them again</button>
        </x-form>
    @else
        <x-form class="actions" :to="route($kind->value.'.retire', $partner->id)">
            <input type="hidden" name="version" value="{{ $partner->version }}">
            <button class="btn btn-quiet btn-small">Retire them</button>
            <span class="sub">Only when nothing is open with them any more.</span>
        </x-form>
    @endif
@endcan
