{{-- How many of a step go. --}}
<input type="hidden" name="{{ $row->field('here') }}" value="{{ $print->some($row->here) }}">
<div class="d-flex gap-2">
    <x-field bare :name="$row->field('pieces')" :field="$row->key('pieces')" :label="'How many of '.$row->order.' go'"
        class="n few" size="6" :value="$print->some($row->here)" inputmode="decimal" />
    @if ($row->canCountThrough())
        <label class="sub text-nowrap">
            <input type="checkbox" name="{{ $row->field('through') }}" value="1" @checked(old($row->key('through')))>
            count through
        </label>
    @endif
</div>
