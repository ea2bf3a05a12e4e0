<x-layout title="Customer orders" :keys="['n' => 'new customer order']" data-plan>
    <div class="head">
        <h1>Customer orders</h1>
        <nav class="pick" aria-label="Show">
            @foreach ($shows as $key => $says)
                <a href="{{ $address($key) }}"
                    @if ($show === $key) aria-current="true" @endif>{{ $says }}</a>
            @endforeach
        </nav>
        <form class="d-flex gap-2">
            <input type="hidden" name="show" value="{{ $show }}">
            <input class="form-control" name="text" value="{{ $text }}"
                aria-label="Narrow by number, customer, reference or item" placeholder="number, customer, item">
        </form>
        @can('promise')
            <a class="btn btn-quiet ms-auto" href="{{ route('promise.index') }}">Promise a date</a>
        @endcan
        @can('enter-customer-order')
            <a class="btn btn-act" data-new href="{{ route('customer-orders.create') }}">New customer order</a>
        @endcan
    </div>
    @if ($cut->rows->isEmpty())
        <div class="none">No line is here. {{ $text !== '' ? "Nothing matches “{$text}”." : '' }}</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Line</th>
                    <th>Customer</th>
                    <th>Item</th>
                    <th class="n">Ordered</th>
                    <th>Unit</th>
                    <th>Promised</th>
                    <th>Covered</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($cut->rows as $line)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('customer-orders.show', $line->customerOrderId) }}">
                                {{ $line->line() }}</a>
                        </td>
                        <td class="cut">{{ $line->customer }} <span class="sub">{{ $line->reference }}</span></td>
                        <td class="cut">{{ $line->item }} <span class="sub">{{ $line->itemNumber }}</span></td>
                        <td class="n">{{ $print->amount($line->quantity) }}</td>
                        <td>{{ $line->unit }}</td>
                        <td @class(['tight', 'behind' => $line->isOverdue()])>{{ $print->day($line->promisedOn) }}</td>
                        <td><x-cover :line="$line" /></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <x-cut :of="$cut" />
</x-layout>
