<table class="list"><thead><tr><th>Line</th>@if ($all)<th>Supplier</th>@endif<th>Item</th><th class="n">Ordered</th><th class="n w2">Received</th><th class="n">To come</th><th>Unit</th><th class="n w2">€ each</th><th>Expected</th><th class="w1">Orders that wait</th><th></th></tr></thead><tbody>
@foreach ($lines->rows as $line)
    @php($open = \Brick\Math\BigDecimal::of($line->quantity)->minus($line->received_quantity)->minus($line->cancelled_quantity))
    @php($form = new \App\Http\Typed("line-{$line->id}"))
    <tr><td class="tight">@if ($all && $line->purchase_order_id)<a class="num" href="{{ route('purchases.show', $line->purchase_order_id) }}">{{ $line->number }}</a>@else<span class="num">{{ $line->number }}</span>@endif</td>@if ($all)<td class="cut">{{ $line->supplier }}</td>@endif<td><a href="{{ route('stock.show', $line->item_id) }}">{{ $line->item_name }}</a> <span class="sub">{{ $line->item_number }}</span></td>
        <td class="n">{{ $print->amount($line->quantity) }}</td><td class="n w2">{{ $line->received_quantity > 0 ? $print->amount($line->received_quantity) : '' }}</td><td class="n">{{ $line->is_open ? $print->amount($open) : '' }}</td><td>{{ $line->unit }}</td><td class="n w2">{{ $print->price($line->price) }}</td>
        <td @class(['behind notched' => $line->is_late])>{{ $line->is_open ? $line->when : ($line->cancelled_quantity > 0 ? 'given up' : 'all in') }} @if ($line->asked_for && $line->is_open)<span class="sub">hurried</span>@endif @if ($line->is_open && $line->history !== '')<div class="sub">{{ $line->history }}</div>@endif</td>
        <td class="cut w1">@foreach ($waiting[$line->number] ?? [] as $order)<a class="num" href="{{ route('orders.show', $order['id']) }}">{{ $order['number'] }}</a> @endforeach</td>
        <td class="tight">@if ($line->is_open)<details class="more" @if ($form->isMine()) open @endif><summary>change</summary>
            @can('goods-in')<a href="{{ route('stock.index', ['receive' => $line->id]) }}#in">Book it in</a>@endcan
            @can('purchase')<form class="actions" method="post" action="{{ route('purchases.update', $line->id) }}">@csrf @method('put') @token($form->form)<x-day worked :in="$form" name="expected_on" label="Expected" :value="$line->expected_on" /><x-day worked :in="$form" name="asked_for" label="Asked for" :value="$line->asked_for ?? ''" /><button class="btn btn-quiet btn-small align-self-end">Change</button></form>
            <form class="actions" method="post" action="{{ route('purchases.destroy', $line->id) }}">@csrf @method('delete') @token("drop-{$line->id}")<x-field bare :in="new \App\Http\Typed('drop-'.$line->id)" name="reason" label="Why it is no longer wanted" placeholder="why no longer" maxlength="200" /><button class="btn btn-quiet btn-small">Give up what is to come</button></form>@endcan</details>@endif</td></tr>
@endforeach
</tbody></table>
<x-cut :of="$lines" />
