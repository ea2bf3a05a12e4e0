{{-- What came of what is made of parts of ours: asked for when it is opened. --}}
@if ($part->open->isPositive())
    <x-more summary="it came in" :open="$isTyped">
        @if ($isTyped)
            @include('outside.made')
        @else
            <x-later :from="route('made.edit', $part->lineId)" />
        @endif
    </x-more>
@endif
