<x-layout title="Purchases">
    <div class="head">
        <h1>Purchases</h1>
        <span class="say">
            {{ $print->count($lines->count, 'line is', 'lines are') }} to come;
            {{ $print->count($overdue, 'is', 'are') }} overdue
            @if ($overdue > 0)
                (<a href="{{ route('questions.index') }}#arrivals">when do they come?</a>)
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
