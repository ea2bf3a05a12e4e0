@props(['orders', 'to', 'none'])
{{-- Orders of a customer, or ours at a supplier, newest first. --}}
@if ($orders->rows->isEmpty())
    <div class="none">{{ $none }}</div>
@else
    <table class="list">
        <tbody>
            @foreach ($orders->rows as $order)
                <tr>
                    <td class="tight"><a class="num" href="{{ route($to, $order->id) }}">{{ $order->number }}</a></td>
                    <td class="tight">{{ $print->day($order->orderedOn) }}</td>
                    <td class="cut">{{ $order->reference }}</td>
                    <td class="tight">{{ $order->says() }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-cut :of="$orders" />
@endif
