{{-- What is short, item by item, each with how it is cured: bought or made here, or otherwise. --}}
<form method="post" action="{{ route('purchases.store') }}" id="buy">
    @csrf
    @token
</form>
<table class="list" id="short">
    <thead>
        <tr>
            <th><input type="checkbox" data-all=".pick-short" aria-label="All bought items"></th>
            <th>Item</th>
            <th class="n">Short</th>
            <th>Unit</th>
            <th>Order by</th>
            <th>For</th>
            <th>Cure</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($shown->rows as $item)
            <tr @class(['wrong' => $errors->has("items.{$item->id}")])>
                <td>
                    @if (! $item->isMadeHere())
                        <input type="checkbox" form="buy" name="only[]" value="{{ $item->id }}" class="pick-short"
                            data-counts aria-label="Order {{ $item->name }}" @cannot('purchase') disabled @endcannot>
                    @endif
                </td>
                <td>
                    <a href="{{ route('stock.show', $item->id) }}">{{ $item->name }}</a>
                    <span class="sub text-nowrap">{{ $item->number }}</span><x-why :field="'items.'.$item->id" />
                </td>
                <td class="n behind notched">{{ $print->amount($item->missing) }}</td>
                <td>{{ $item->unit }}</td>
                <td @class(['tight', 'behind notched' => $item->isTooLate()])>
                    {{ $item->orderBy === null ? 'any day' : $print->day($item->orderBy) }}
                </td>
                <td>
                    @foreach ($item->parts as $part)
                        <a class="num" href="{{ route('orders.show', $part->orderId) }}">{{ $part->order }}</a>
                        <span class="sub">{{ $print->amount($part->missing) }} at {{ $part->step }}</span>{{
                            $loop->last ? '' : ', ' }}
                    @endforeach
                </td>
                <td>
                    @if ($item->isMadeHere())
                        @can('change-order')
                            @include('shortages.make')
                        @endcan
                    @else
                        @include('shortages.buy')
                    @endif
                    <details class="more d-inline-block ms-1">
                        <summary>other cures</summary>
                        <div hx-get="{{ route('shortages.cures', $item->id) }}"
                            hx-trigger="toggle from:closest details once"></div>
                    </details>
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
@can('purchase')
    <div class="actions">
        <button class="btn btn-act" form="buy" data-keep data-count-of=".pick-short" data-none="Tick items to order"
            data-some="Order # item(s)">Order</button>
        <button class="btn btn-quiet" form="buy" name="draft" value="1" data-keep>Put them on drafts</button>
        <label class="d-inline">
            <input type="checkbox" form="buy" name="add" value="1" @checked(old('add', true))>
            on the supplier's open order, where there is one
        </label>
    </div>
@endcan
