@props(['queue'])
{{-- What comes to a station next. --}}
<h2>{{ $queue->comingSays() }}</h2>
<table class="list">
    <thead>
        <tr><th>Planned</th><th>Order</th><th>Step</th><th>Item</th><th class="n">Pieces</th></tr>
    </thead>
    <tbody>
    @foreach ($queue->coming as $job)
        <tr>
            <td class="tight">{{ $print->when($job->planned) }}</td>
            <td><a class="num" href="{{ route('orders.show', $job->orderId) }}">{{ $job->order }}</a></td>
            <td>{{ $job->step() }}</td>
            <td>{{ $job->item }}</td>
            <td class="n">{{ $print->amount($job->quantity) }}</td>
        </tr>
    @endforeach
    </tbody>
</table>
