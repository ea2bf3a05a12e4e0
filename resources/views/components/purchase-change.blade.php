{{-- What can be done with a line that is still to come: asked for when it is opened. --}}
<x-more summary="change" :open="$isTyped">
    @if ($isTyped)
        @include('purchases.line-forms')
    @else
        <x-later :from="route('purchase-lines.forms', $line->id)" />
    @endif
</x-more>
