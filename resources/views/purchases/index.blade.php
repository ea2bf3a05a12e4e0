<x-layout title="Purchases">
    <div class="head">
        <h1>Purchases</h1>
        <span class="say">
            {{ $print->count($lines->count, 'line is', 'lines are') }} to come;
            @if ($overdue > 0)
                {{ $print->count($overdue, 'is', 'are') }} overdue
                (<a href="{{ route('questions.index') }}#arrivals">when do they come?</a>).
            @else
                none is overdue.
            @endif
        </span>
        <a class="ms-auto" href="{{ route('shortages.index') }}">Shortages</a>
    </div>
    @if ($lines->rows->isEmpty())
        <div class="none">Nothing is to come.</div>
    @else
        @include('purchases.lines', ['all' => true])
    @endif
    @can('purchase')
        <x-purchase-new :suppliers="$suppliers" />
    @endcan
</x-layout>
