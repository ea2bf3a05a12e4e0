<x-layout title="Came and not billed">
    <div class="head">
        <h1>Came and not billed</h1>
        <span class="say">
            {{ $isToday ? 'Today' : 'At the end of '.$print->day($page->day) }}:
            @if ($page->suppliers->isEmpty())
                nothing
            @else
                {{ $print->money($page->total()) }} € of
                {{ $print->count($page->suppliers->count(), 'supplier', 'suppliers') }}, at the prices agreed now.
            @endif
        </span>
        <x-other-day />
    </div>
    @if ($wrong !== '')<p class="said not">{{ $wrong }}</p>@endif
    @if ($page->suppliers->isEmpty())
        <div class="none">All that came is billed.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Line</th>
                    <th>Item</th>
                    <th class="n">Came, not billed</th>
                    <th>Unit</th>
                    <th class="n">€ each</th>
                    <th class="n">€</th>
                </tr>
            </thead>
            @foreach ($page->suppliers as $supplier)
                <tbody>
                    <tr class="order-head">
                        <td colspan="5">
                            <a href="{{ route('suppliers.show', $supplier->id) }}">{{ $supplier->name }}</a>
                            @can('bill')
                                ·
                                <a href="{{ route('bills.create', ['supplier' => $supplier->id]) }}">type its bill</a>
                            @endcan
                        </td>
                        <td class="n"><strong>{{ $print->money($supplier->cents) }}</strong></td>
                    </tr>
                    @foreach ($supplier->lines as $line)
                        <tr>
                            <td class="num tight">
                                <a href="{{ route('purchases.show', $line->orderId) }}">{{ $line->number }}</a>
                            </td>
                            <td>
                                {{ $line->item }} <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
                                @if ($line->onBill)
                                    <span class="sub">· on bill {{ $line->onBill }}, to be looked at</span>
                                @endif
                            </td>
                            <td class="n">{{ $print->amount($line->owed) }}</td>
                            <td>{{ $line->unit }}</td>
                            <td class="n">{{ $print->price($line->each()) }}</td>
                            <td class="n">{{ $print->money($line->cents) }}</td>
                        </tr>
                    @endforeach
                    @if ($supplier->more() > 0)
                        <tr>
                            <td colspan="6">
                                <a href="{{ route('owed.index', ['on' => $page->day, 'supplier' => $supplier->id]) }}">
                                    {{ $print->count($supplier->more(), 'line', 'lines') }} more of
                                    {{ $supplier->name }}</a>
                            </td>
                        </tr>
                    @endif
                </tbody>
            @endforeach
        </table>
    @endif
</x-layout>
