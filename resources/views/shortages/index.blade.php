@php($amount = fn ($of): string => \App\Wording\Figures::amount((string) $of))
@php($items = $list->byItem())
<x-layout title="Shortages">
    <p class="lead">@if ($items->isEmpty())Nothing is short that is not on its way.@else<a href="#short">{{ $items->count() === 1 ? '1 item is' : $items->count().' items are' }} short</a> for {{ ($n = $list->rows->pluck('order_id')->unique()->count()) === 1 ? '1 order' : "{$n} orders" }}; the first, {{ Str::lcfirst($items->first()->item_name) }}, {{ $items->first()->says }}.@endif
        @if ($list->waiting->isNotEmpty())<a href="#late" class="soon">{{ $list->waiting->count() === 1 ? '1 part comes' : $list->waiting->count().' parts come' }} too late</a> for their orders.@endif
        @if ($list->released->isNotEmpty())<a href="#released" class="behind">{{ ($n = $list->released->pluck('order_id')->unique()->count()) === 1 ? '1 order was' : "{$n} orders were" }} released short</a>.@endif</p>
    <nav class="pick mb-2" aria-label="Grouped"><a href="{{ route('shortages.index') }}" @if ($by === 'item') aria-current="true" @endif>by item</a><a href="{{ route('shortages.index', ['by' => 'order']) }}" @if ($by === 'order') aria-current="true" @endif>by order</a></nav>
    @if ($items->isNotEmpty() && $by === 'item')
    <form method="post" action="{{ route('purchases.store') }}" id="buy">@csrf @token</form>
    <table class="list" id="short"><thead><tr><th><input type="checkbox" data-all=".pick-short" aria-label="All bought items" @checked(false)></th><th>Item</th><th class="n">Short</th><th>Unit</th><th>Order by</th><th>For</th><th>Cure</th></tr></thead><tbody>
    @foreach ($items as $item)
        @php($made = in_array($item->kind, ['made', 'assembled']))
        <tr @class(['wrong' => $errors->has("items.{$item->item_id}")])><td>@if (! $made)<input type="checkbox" form="buy" name="only[]" value="{{ $item->item_id }}" class="pick-short" data-counts aria-label="Order {{ $item->item_name }}" @cannot('purchase') disabled @endcannot>@endif</td>
            <td><a href="{{ route('stock.show', $item->item_id) }}">{{ $item->item_name }}</a> <span class="sub">{{ $item->item_number }}</span><x-why :field="'items.'.$item->item_id" /></td><td class="n behind notched">{{ $amount($item->missing) }}</td><td>{{ $item->unit }}</td><td @class(['tight', 'behind notched' => $item->is_too_late])>{{ $item->order_by === null ? 'any day' : \App\Wording\When::day($item->order_by) }}</td>
            <td>@foreach ($item->rows as $row)<a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order_number }}</a> <span class="sub">{{ $amount($row->missing) }} at {{ $row->step_number }}</span>{{ $loop->last ? '' : ', ' }}@endforeach</td>
            <td>@if (! $made)<span class="d-inline-flex gap-1 align-items-center"><input class="form-control n" form="buy" name="items[{{ $item->item_id }}][quantity]" value="{{ old("items.{$item->item_id}.quantity", $amount($item->missing)) }}" inputmode="decimal" aria-label="How much of {{ $item->item_name }} to order" @cannot('purchase') disabled @endcannot><x-day bare worked form="buy" :name="'items['.$item->item_id.'][expected_on]'" :field="'items.'.$item->item_id.'.expected_on'" :label="'When '.$item->item_name.' is expected'" :placeholder="$item->comes" :disabled="! Gate::allows('purchase')" />@if ($item->supplier)<span class="sub cut">{{ $item->supplier }}, {{ $item->lead }}</span>@else<select class="form-select" form="buy" name="items[{{ $item->item_id }}][supplier]" aria-label="Supplier of {{ $item->item_name }}"><option value="">of whom?</option>@foreach ($suppliers as $id => $name)<option value="{{ $id }}">{{ $name }}</option>@endforeach</select>@endif</span>
                @else @can('change-order')<form class="d-inline-flex gap-1" method="post" action="{{ route('orders.store') }}">@csrf @token<input type="hidden" name="item" value="{{ $item->item_number }}"><input type="hidden" name="with_parts" value="1"><input class="form-control n" name="quantity" value="{{ $amount($item->missing) }}" inputmode="decimal" aria-label="How many {{ $item->item_name }} to make"><button class="btn btn-quiet btn-small">Make it</button></form>@endcan @endif
                <details class="more d-inline-block ms-1"><summary>other cures</summary><div hx-get="{{ route('shortages.cures', $item->item_id) }}" hx-trigger="toggle from:closest details once"></div></details></td></tr>
    @endforeach
    </tbody></table>
    @can('purchase')<div class="actions"><button class="btn btn-act" form="buy" data-keep data-count-of=".pick-short" data-none="Tick items to order" data-some="Order # item(s)">Order</button><label class="d-inline"><input type="checkbox" form="buy" name="add" value="1" @checked(old('add', true))> on the supplier's open order, where there is one</label></div>@endcan
    @elseif ($items->isNotEmpty())
    <table class="list" id="short"><thead><tr><th>Order</th><th>Item</th><th class="n">Step</th><th class="n">Short</th><th>Unit</th><th>Order by</th><th>Due</th></tr></thead>
    @foreach ($list->byOrder() as $rows)<tbody class="together">@foreach ($rows as $row)<tr><td class="tight">@if ($loop->first)<a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order_number }}</a> <x-state :state="$row->state" />@endif</td><td><a href="{{ route('stock.show', $row->item_id) }}">{{ $row->item_name }}</a> <span class="sub">{{ $row->item_number }}</span></td><td class="n">{{ $row->step_number }}</td><td class="n behind notched">{{ $amount($row->missing) }}</td><td>{{ $row->unit }}</td><td @class(['tight', 'behind notched' => $row->order_by && $row->order_by < $list->today()])>{{ $row->order_by === null ? 'any day' : \App\Wording\When::day($row->order_by) }}</td><td class="tight">@if ($loop->first){{ \App\Wording\When::day($row->due_on) }}@endif</td></tr>@endforeach</tbody>@endforeach
    </table>
    @endif
    @if ($list->waiting->isNotEmpty())
    <h2 id="late">Coming, but too late</h2>
    <table class="list"><thead><tr><th>Order</th><th>Item</th><th class="n">Step</th><th>Comes with</th><th>Pace</th><th>Cure</th></tr></thead><tbody>
    @foreach ($list->waiting as $row)
        @foreach (collect(json_decode($row->coming))->filter(fn ($coming) => str_starts_with($coming->supply, 'purchase ')) as $coming)
        @php($line = ($list->coming[$row->item_id] ?? collect())->firstWhere('number', Str::after($coming->supply, 'purchase ')))
        <tr><td><a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order_number }}</a></td><td>{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td><td class="n">{{ $row->step_number }}</td><td>{{ $amount($coming->quantity) }} {{ $row->unit }} of {{ Str::after($coming->supply, 'purchase ') }}, {{ \App\Wording\ArrivalWords::coming($coming) }} @if ($line?->asked_for)<span class="sub">hurried</span>@endif</td><td class="tight"><x-late :minutes="$row->late_minutes" /></td>
            <td>@if ($line) @can('purchase')<form class="d-inline-flex gap-1" method="post" action="{{ route('purchases.update', $line->id) }}">@csrf @method('put') @token<input type="hidden" name="asked_for" value="{{ $list->today() }}"><x-day bare worked name="expected_on" 
                :value="$line->still_expected_on" :label="'New date of '.$line->number.' for '.$row->order_number" /><button class="btn btn-quiet btn-small">Hurry it</button></form>@endcan @endif</td></tr>
        @endforeach
    @endforeach
    </tbody></table>@endif
    @if ($list->released->isNotEmpty())
    <h2 id="released">Released short, not issued yet</h2>
    <table class="list"><thead><tr><th>Order</th><th>Item</th><th class="n">Step</th><th class="n">To issue</th><th>Coming</th><th>Why it was released</th></tr></thead><tbody>
    @foreach ($list->released as $row)<tr><td class="tight"><a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order_number }}</a></td><td>{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td><td class="n">{{ $row->step_number }}</td><td class="n">{{ $amount($row->to_issue) }} {{ $row->unit }}</td><td>@foreach (json_decode($row->coming) as $coming)<span class="soon">{{ $amount($coming->quantity) }} {{ $coming->supply }}{{ $coming->at ? ', '.\App\Wording\ArrivalWords::coming($coming) : '' }}{{ $loop->last && $row->missing <= 0 ? '' : ';' }}</span> @endforeach @if ($row->is_there)<span class="good">there, not issued yet</span>@endif @if ($row->missing > 0)<span class="behind notched">{{ $amount($row->missing) }} not ordered</span>@endif</td><td class="sub">{{ $row->short_reason }} ({{ $row->person }})</td></tr>@endforeach
    </tbody></table>@endif
</x-layout>
