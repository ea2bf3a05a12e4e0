@props(['part', 'other'])
{{-- One order takes stock that another has been given: what that would do is asked first. --}}
<x-form class="actions" :to="route('reservations.preview')">
    <input type="hidden" name="order" value="{{ $part->orderId }}">
    <input type="hidden" name="item" value="{{ $part->itemId }}">
    <span>
        {{ $part->order }} from {{ $other->order }}, which has {{ $print->amount($other->fromStock) }} of stock:
    </span>
    <input class="form-control n" name="quantity" value="{{ $print->amount($part->couldTakeFrom($other)) }}"
        inputmode="decimal" aria-label="How much {{ $part->order }} takes from {{ $other->order }}">
    <button class="btn btn-quiet btn-small">What would it do</button>
</x-form>
