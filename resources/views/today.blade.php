<x-layout title="Today" data-plan>
    @include('today.lead')
    @includeWhen($first !== null, 'today.first-things')
    @if ($first === null)
        <div class="halves today">
            <section>
                <h2><a href="{{ route('late.index') }}">Behind, worst first</a></h2>
                @include('orders.short-list', [
                    'rows' => $today->late,
                    'none' => 'No order will miss its date.',
                    'why' => true,
                    'strip' => true,
                    'pace' => true,
                ])
                <h2>Stuck, and for what</h2>
                @include('orders.short-list', ['rows' => $today->stuck, 'none' => 'Nothing is stuck.', 'why' => true])
            </section>
            <section>
                <h2>Can be released</h2>
                @include('orders.short-list', [
                    'rows' => $today->release,
                    'none' => 'No firm order has its parts.',
                    'pace' => true,
                ])
                @if ($today->arrivals !== [])
                    <h2><a href="{{ route('questions.index') }}">Should be here</a></h2>
                    @include('today.arrivals')
                @endif
                @if ($today->questions->isNotEmpty())
                    <h2>Open questions</h2>
                    @include('today.questions')
                @endif
                <h2>Not covered</h2>
                @if ($today->uncovered->count === 0)
                    <div class="none">Every customer line is covered.</div>
                @else
                    @include('today.uncovered')
                @endif
                <h2>Outside the house</h2>
                @if ($today->outside->isEmpty())
                    <div class="none">Nothing is at a supplier.</div>
                @else
                    @include('today.outside')
                @endif
            </section>
        </div>
    @endif
</x-layout>
