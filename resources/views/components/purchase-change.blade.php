{{-- What can be done with a line that is still to come: asked for when it is opened. --}}
<x-more summary="change" :open="$isTyped">
    @if ($isTyped)
        @include('purchases.line-forms')
    @else
        <div hx-get="{{ route('purchase-lines.forms', $line->id) }}"
            hx-trigger="toggle from:closest details once"></div>
    @endif
</x-more>
