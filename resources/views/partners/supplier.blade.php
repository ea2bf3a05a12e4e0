<x-layout :title="$page->partner->number" :keys="['n' => 'change it']" data-plan>
    <x-partner-head :kind="$kind" :partner="$page->partner">
        {{ $print->count($page->lines->count, 'line is', 'lines are', 'nothing is') }} to come
        @can('see-money')
            · {{ $print->price($page->toCome()) }} €
        @endcan
        @can('purchase')
            · <a href="{{ route('chase.call', $page->partner->id) }}">one sheet for a call</a>
        @endcan
    </x-partner-head>
    <div class="two wide">
        <section>
            <h2 class="mt-0">To come</h2>
            @if ($page->lines->rows->isEmpty())
                <div class="none">Nothing is to come.</div>
            @else
                @include('purchases.lines', ['all' => false, 'lines' => $page->lines, 'waiting' => $page->waiting])
            @endif
            @if ($page->outside->isNotEmpty())
                <h2>With them now</h2>
                <table class="list">
                    <tbody>
                        @foreach ($page->outside as $out)
                            <tr>
                                <td class="tight">
                                    <a class="num" href="{{ route('orders.show', $out->orderId) }}">
                                        {{ $out->order }}</a>
                                </td>
                                <td class="cut">{{ $out->item }}</td>
                                <td>{{ $out->step() }}</td>
                                <td class="n">{{ $print->amount($out->there) }} {{ $out->unit }}</td>
                                <td><x-back :handfuls="$out->handfuls" :unit="$out->unit" /></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
            @if ($page->claims->rows->isNotEmpty())
                <h2>Claims</h2>
                @include('outside.claim-rows', ['rows' => $page->claims->rows])
            @endif
            <h2>What they sell us</h2>
            @include('partners.sold')
            <h2>Orders we gave them</h2>
            <x-partner-orders :orders="$page->orders" to="purchases.show" none="Nothing was ordered of them yet." />
            <x-changes :rows="$page->changes" />
        </section>
        <section>
            <x-partner-terms :kind="$kind" :page="$page">
                @can('see-money')
                    <dt>An order is at least</dt>
                    <dd>{{ $page->hasMinimum() ? $print->price($page->partner->minimum_order).' €' : 'anything' }}</dd>
                @endcan
            </x-partner-terms>
        </section>
    </div>
</x-layout>
