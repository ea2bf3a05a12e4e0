@if ($compared->late->isEmpty())
    <p class="none">No order is late in either plan.</p>
@else
    @include('plans.late-table', ['late' => $compared->late, 'before' => 'Live plan', 'after' => 'This one'])
@endif
