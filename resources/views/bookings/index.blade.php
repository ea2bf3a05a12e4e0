<x-layout title="Bookings">
    <div class="head">
        <h1>All bookings</h1>
        <span class="say">Newest first; nothing is ever deleted.</span>
    </div>
    <x-bookings :rows="$rows" />
    @if ($older !== null)
        <p class="mt-2"><a href="{{ route('bookings.index', ['before' => $older]) }}">Older ones</a></p>
    @endif
</x-layout>
