<x-layout title="Parts of orders" data-plan>
    <div class="head">
        <h1>Parts</h1>
        <span class="say">{{ $page->says() }}</span>
        <nav class="pick" aria-label="Which parts">
            @foreach ($page->shows() as $show => $says)
                <a href="{{ $page->address($show) }}"
                    @if ($page->show === $show) aria-current="true" @endif>{{ $says }}</a>
            @endforeach
        </nav>
        <span class="ms-auto"></span>
        @if (! $page->isOfAll())
            <a href="{{ route('parts.index') }}">All open orders</a>
        @endif
        <a href="{{ route('shortages.index') }}">Shortages</a>
    </div>
    @if ($cut->rows->isEmpty())
        <div class="none">No part is like this.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Order</th>
                    <th class="n">Step</th>
                    <th>Item</th>
                    <th class="n">Needed</th>
                    <th class="n">Used</th>
                    <th class="n">Allocated</th>
                    <th class="n">On hand</th>
                    <th>Coming</th>
                    <th class="n">Short</th>
                    <th>Unit</th>
                </tr>
            </thead>
            @foreach ($page->byOrder() as $rows)
                <tbody>
                    <tr class="order-head">
                        <td class="tight">
                            <a class="num"
                                href="{{ route('orders.show', $rows[0]->orderId) }}">{{ $rows[0]->order }}</a>
                            <x-state :state="$rows[0]->state" :held="$rows[0]->isHeld" />
                        </td>
                        <td></td>
                        <td colspan="8">{{ $rows[0]->made }} · <x-readiness :of="$rows[0]->readiness" /></td>
                    </tr>
                    @foreach ($rows as $part)
                        <tr>
                            <td></td>
                            <td class="n">{{ $part->step }}</td>
                            <td>
                                <a href="{{ route('stock.show', $part->itemId) }}">{{ $part->item }}</a>
                                <span class="sub text-nowrap">{{ $part->itemNumber }}</span>
                            </td>
                            <td class="n">{{ $print->amount($part->planned) }}</td>
                            <td class="n">{{ $print->some($part->used) }}</td>
                            <td class="n">{{ $print->some($part->fromStock) }}</td>
                            <td class="n">{{ $print->amount($part->onHand) }}</td>
                            <td>@include('orders.coming')</td>
                            <td class="n">
                                @if ($part->missing->isPositive())
                                    <span class="behind notched">{{ $print->amount($part->missing) }}</span>
                                @endif
                            </td>
                            <td>{{ $part->unit }}</td>
                        </tr>
                    @endforeach
                </tbody>
            @endforeach
        </table>
    @endif
    <x-cut :of="$cut" />
</x-layout>
