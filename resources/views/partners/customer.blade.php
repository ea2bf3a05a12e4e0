<x-layout :title="$page->partner->number" :keys="['n' => 'change it']" data-plan>
    <x-partner-head :kind="$kind" :partner="$page->partner">
        {{ $print->count($page->lines->count, 'line is', 'lines are', 'nothing is') }} open
    </x-partner-head>
    <div class="two wide">
        <section>
            <h2 class="mt-0">Open with them</h2>
            @if ($page->lines->rows->isEmpty())
                <div class="none">Nothing is open.</div>
            @else
                <x-demand-lines :lines="$page->lines->rows" :customer="false" />
                <x-cut :of="$page->lines" />
            @endif
            @if ($page->material->isNotEmpty())
                <h2>Their own material with us</h2>
                <table class="list">
                    <thead>
                        <tr>
                            <th>Item</th>
                            <th></th>
                            <th class="n">Came</th>
                            <th class="n">Used</th>
                            <th class="n">Scrap</th>
                            <th class="n">Replaced</th>
                            <th class="n">Back</th>
                            <th class="n">Left</th>
                            <th></th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($page->material as $own)
                            <tr>
                                <td class="tight">
                                    <a class="num" href="{{ route('stock.show', $own->itemId) }}">{{ $own->number }}</a>
                                </td>
                                <td class="cut">{{ $own->name }}</td>
                                <td class="n">{{ $print->amount($own->came) }}</td>
                                <td class="n">{{ $print->some($own->used) }}</td>
                                <td class="n">{{ $print->some($own->scrapped) }}</td>
                                <td class="n">{{ $print->some($own->replaced) }}</td>
                                <td class="n">{{ $print->some($own->returned) }}</td>
                                <td class="n">{{ $print->amount($own->left) }}</td>
                                <td>{{ $own->unit }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
            <h2>Their orders</h2>
            <x-partner-orders :orders="$page->orders" to="customer-orders.show" none="They have ordered nothing yet." />
            <x-changes :rows="$page->changes" />
        </section>
        <section>
            <x-partner-terms :kind="$kind" :page="$page" />
        </section>
    </div>
</x-layout>
