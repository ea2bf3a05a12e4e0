<table class="list"><thead><tr><th>Work centre</th><th class="n">Machine</th><th>Order</th><th>Step</th><th>Item</th><th>From</th><th>To</th></tr></thead><tbody>
@foreach ($board->rows as $centre) @foreach ($centre->bars as $machine => $bars) @foreach ($bars as $bar)<tr><td>{{ $centre->name }}</td><td class="n">{{ $machine }}</td><td class="num">{{ $bar->order_number }}</td><td>{{ $bar->number }} {{ $bar->name }}</td><td>{{ $bar->item_name }}</td><td>{{ \App\Wording\When::say($bar->from) }}</td><td>{{ \App\Wording\When::say($bar->to) }}</td></tr>
@endforeach @endforeach @endforeach
@foreach ($board->outside as $bar)<tr><td>{{ $bar->supplier }}</td><td></td><td class="num">{{ $bar->order_number }}</td><td>{{ $bar->number }} {{ $bar->name }}</td><td>{{ $bar->item_name }}</td><td>{{ \App\Wording\When::say($bar->from) }}</td><td>{{ \App\Wording\When::say($bar->to) }}</td></tr>
@endforeach
</tbody></table>
