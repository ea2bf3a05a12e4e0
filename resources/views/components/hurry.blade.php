@props(['line', 'today', 'for'])
{{-- A supplier is asked to bring a line sooner. --}}
@if ($line !== null)
    <x-form class="d-inline-flex gap-1" method="put" :to="route('purchases.update', $line->id)">
        <input type="hidden" name="asked_for" value="{{ $today }}">
        <x-day bare worked name="expected_on" :value="$line->stillExpectedOn"
            :label="'New date of '.$line->number.' for '.$for" />
        <button class="btn btn-quiet btn-small text-nowrap">Hurry it</button>
    </x-form>
@endif
