<x-layout title="Stock">
    <div class="head">
        <h1>Stock</h1>
        <form class="d-flex gap-2 align-items-center">
            <input class="form-control" name="text" value="{{ $text }}" placeholder="item, name or lot"
                aria-label="Item, name or lot">
            <label class="d-inline">
                <input type="checkbox" name="below" value="1" @checked($low !== null) data-send> below reorder point
            </label>
        </form>
        @if ($low === null)
            <span class="say">
                {{ $rows->rows->pluck('itemId')->unique()->count() }} items,
                {{ $print->money($rows->rows->sum('value')) }} €{{ $rows->says() === '' ? '' : ", {$rows->says()}" }}
            </span>
        @endif
    </div>
    @if ($low !== null)
        @include('stock.low')
    @elseif ($rows->rows->isEmpty())
        <div class="none">Nothing like this is in stock.</div>
    @else
        <x-stock-list :rows="$rows->rows" />
        <x-cut :of="$rows" />
    @endif
    @can('goods-in')
        <x-goods-in :form="$goodsIn" />
    @endcan
</x-layout>
