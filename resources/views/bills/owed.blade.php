<x-layout title="Came and not billed">
    <div class="head">
        <h1>Came and not billed</h1>
        <span class="say">
            {{ $isToday ? 'Today' : 'At the end of '.$print->day($page->day) }}:
            {{ $print->money($page->total()) }} € of
            {{ $print->count($page->suppliers->count(), 'supplier', 'suppliers', 'nobody') }}, at the prices agreed now.
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
            @foreach ($page->suppliers as $supplier => $lines)
                <tbody>
                    <tr class="order-head">
                        <td colspan="5">
                            <a href="{{ route('suppliers.show', $lines[0]->supplierId) }}">{{ $supplier }}</a>
                            @can('bill')
                                ·
                                <a href="{{ route('bills.create', ['supplier' => $lines[0]->supplierId]) }}">type its
                                    bill</a>
                            @endcan
                        </td>
                        <td class="n"><strong>{{ $print->money($page->sum($lines)) }}</strong></td>
                    </tr>
                    @foreach ($page->shown($lines) as $line)
                        <tr>
                            <td class="num tight">
                                <a href="{{ route('purchases.show', $line->orderId) }}">{{ $line->number }}</a>
                            </td>
                            <td>
                                {{ $line->item }} <span class="sub">{{ $line->itemNumber }}</span>
                                @if ($line->onBill)
                                    <span class="sub">· on bill {{ $line->onBill }}, to be looked at</span>
                                @endif
                            </td>
                            <td class="n">{{ $print->amount($line->owed) }}</td>
                            <td>{{ $line->unit }}</td>
                            <td class="n">{{ $print->price($line->price) }}</td>
                            <td class="n">{{ $print->money($line->cents) }}</td>
                        </tr>
                    @endforeach
                    @if ($page->more($lines) > 0)
                        <tr>
                            <td colspan="6">
                                <a href="{{ route('owed.index', $page->of($lines)) }}">
                                    {{ $print->count($page->more($lines), 'line', 'lines') }} more of
                                    {{ $supplier }}</a>
                            </td>
                        </tr>
                    @endif
                </tbody>
            @endforeach
        </table>
    @endif
</x-layout>
