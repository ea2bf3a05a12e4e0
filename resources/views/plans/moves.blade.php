@if ($compared->moves->isEmpty())
    <p class="none">Nothing moves.</p>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Order</th>
                <th>Step</th>
                <th>Where</th>
                <th>Live plan</th>
                <th>This one</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($compared->moves as $step)
                <tr>
                    <td><a class="num" href="{{ route('orders.show', $step->orderId) }}">{{ $step->order }}</a></td>
                    <td>{{ $step->step() }}</td>
                    <td>{{ $step->whereSays() }}</td>
                    <td>{{ $print->exact($step->fromAt) }}</td>
                    <td>{{ $print->exact($step->toAt) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
