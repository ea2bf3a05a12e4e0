<x-layout title="Purchases">
    <div class="head">
        <h1>Purchases</h1>
        <nav class="pick" aria-label="Show">
            @foreach ($filter->cases() as $one)
                <a href="{{ route('purchases.index', ['show' => $one->value]) }}"
                    @if ($one === $filter) aria-current="true" @endif>{{ $one->label() }}{{
                        ($counts[$one->value] ?? 0) > 0 ? " {$counts[$one->value]}" : '' }}</a>
            @endforeach
        </nav>
        <span class="say">
            @if ($lines)
                {{ $print->count($lines->count, 'line is', 'lines are') }} to come;
                @if ($overdue > 0)
                    {{ $print->count($overdue, 'is', 'are') }} overdue
                    (<a href="{{ route('questions.index') }}#arrivals">when do they come?</a>).
                @else
                    none is overdue.
                @endif
            @endif
        </span>
        <a class="ms-auto" href="{{ route('shortages.index') }}">Shortages</a>
    </div>
    @if ($lines?->rows->isEmpty() || $orders?->rows->isEmpty())
        <div class="none">{{ $filter->none() }}</div>
    @elseif ($lines)
        @include('purchases.lines', ['all' => true])
    @else
        @include('purchases.orders')
    @endif
    @can('purchase')
        <x-purchase-new :suppliers="$suppliers" />
    @endcan
</x-layout>
