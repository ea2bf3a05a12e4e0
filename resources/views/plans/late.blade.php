@if ($compared->late->isEmpty())
    <p class="none">No order is late in either plan.</p>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Order</th>
                <th>Item</th>
                <th>Due</th>
                <th class="n">Live plan</th>
                <th class="n">This one</th>
            </tr>
        </thead>
        <tbody>
            @include('plans.late-rows', ['late' => $compared->late])
        </tbody>
    </table>
@endif
