{{-- Open orders that make an item. --}}
@if ($page->orders->isEmpty())
    <div class="none">No order makes it.</div>
@else
    <table class="list">
        <tbody>
            @foreach ($page->orders as $order)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                    </td>
                    <td><x-state :state="$order->state" /></td>
                    <td class="n">{{ $print->amount($order->open) }} {{ $item->unit->code }}</td>
                    <td class="tight">{{ $order->dueOn === null ? '' : 'due '.$print->day($order->dueOn) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
