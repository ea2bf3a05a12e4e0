<td>
    <a href="{{ route('orders.show', $row->orderId) }}">{{ $row->order }}</a>
    <span class="sub">{{ $row->item }}</span>
</td>
<td>{{ $row->number }} {{ $row->name }}</td>
<td class="cut">{{ $row->forWhom }}</td>
<td class="n">{{ $print->amount($row->quantity) }}</td>
<td>{{ $row->unit }}</td>
<td class="tight">{{ $print->day($row->dueOn) }}</td>
