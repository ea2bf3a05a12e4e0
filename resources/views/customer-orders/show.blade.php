@php($order = $page->order)
@php($uncovered = $page->lines->filter(fn ($line) => \Brick\Math\BigDecimal::of($line->quantity)->minus($line->shipped_quantity)->minus($line->cancelled_quantity)->isGreaterThan($line->covered)))
<x-layout :title="$order->number">
    <div class="head"><h1>{{ $order->number }} · {{ $order->customer }}</h1>
        <span class="say">{{ $order->reference }} · ordered {{ $print->day($order->ordered_on) }} · {{ $order->ship_to ?: $order->address }}{{ $order->contact ? ' · '.$order->contact : '' }}</span>
        @can('ship')<a class="btn btn-quiet ms-auto" href="{{ route('ship.index') }}#o{{ $order->id }}">Ship</a>@endcan
    </div>
    @can('cover') @if ($uncovered->isNotEmpty())
    <form class="actions" method="post" action="{{ route('covers.store') }}">@csrf @token
        @foreach ($uncovered as $line)<input type="hidden" name="lines[]" value="{{ $line->id }}">@endforeach
        <button class="btn btn-act" name="by" value="stock-then-order">Cover {{ $uncovered->count() === 1 ? 'the open line' : 'all '.$uncovered->count().' open lines' }}: stock first, orders for the rest</button>
        <label class="d-inline"><input type="checkbox" name="with_parts" value="1" @checked(old('with_parts', '1'))> also make orders for made parts that will be short</label>
    </form>
    @endif @endcan
    <table class="list">
        <thead><tr><th>Line</th><th>Item</th><th class="n">Ordered</th><th class="n">Shipped</th><th>Unit</th><th class="n">Price €</th><th>Promised</th><th>Covered</th><th></th></tr></thead>
        <tbody>
        @foreach ($page->lines as $line)
            @php($open = \Brick\Math\BigDecimal::of($line->quantity)->minus($line->shipped_quantity)->minus($line->cancelled_quantity)->minus($line->covered))
            <tr>
                <td class="num">{{ $line->position }}</td><td><a href="{{ route('stock.show', $line->item_id) }}">{{ $line->item_name }}</a> <span class="sub">{{ $line->item_number }}</span></td>
                <td class="n">{{ $print->amount($line->quantity) }}@if ($line->typed_unit !== $line->unit) <span class="sub">({{ $print->amount($line->typed_quantity) }} {{ $line->typed_unit }})</span>@endif</td>
                <td class="n">{{ $print->amount($line->shipped_quantity) }}</td><td>{{ $line->unit }}</td><td class="n">{{ $print->price($line->price) }}</td>
                <td class="tight">{{ $print->day($line->promised_on) }}</td>
                <td>
                    @foreach ($line->covers as $cover) @if ($cover->order_id)<a href="{{ route('orders.show', $cover->order_id) }}" class="tag">{{ $cover->order_number }}</a> @endif @endforeach
                    <x-cover :line="$line" />
                </td>
                <td class="tight">
                    @if ($open->isPositive()) @can('promise')<a href="{{ route('promise.index', ['item' => $line->item_number, 'quantity' => $print->amount((string) $open), 'wanted' => $line->promised_on]) }}">When?</a> @endcan @can('cover')
                        <form class="d-inline" method="post" action="{{ route('covers.store') }}">@csrf @token<input type="hidden" name="lines[]" value="{{ $line->id }}">
                            @if (isset($page->free[$line->item_id]) && \Brick\Math\BigDecimal::of($page->free[$line->item_id]->free)->isGreaterThanOrEqualTo($open))<button class="btn btn-act btn-small" name="by" value="stock">From stock</button>@endif
                            @if (in_array($line->kind, ['made', 'assembled']))<input type="hidden" name="with_parts" value="1"><button class="btn btn-quiet btn-small" name="by" value="order">Make an order</button>@endif
                        </form>
                    @endcan @endif
                </td>
            </tr>
        @endforeach
        </tbody>
    </table>
    @can('cover')
    <div class="halves">
        <div>
            @foreach ($page->lines as $line)
                @php($open = \Brick\Math\BigDecimal::of($line->quantity)->minus($line->shipped_quantity)->minus($line->cancelled_quantity)->minus($line->covered))
                @if ($open->isPositive() && isset($page->openOrders[$line->item_id]))
                @php($form = new \App\Http\Typed("tie-{$line->id}"))
                <form class="actions align-items-start" method="post" action="{{ route('covers.update', $line->id) }}">@csrf @method('put') @token($form->form)
                    Line {{ $line->position }} from an order that is open already:
                    <select class="form-select" name="order" aria-label="Order">@foreach ($page->openOrders[$line->item_id] as $candidate)<option value="{{ $candidate->id }}">{{ $candidate->number }}, {{ $print->amount($candidate->free) }} not promised, due {{ $print->day($candidate->due_on) }}</option>@endforeach</select>
                    <x-field bare :in="$form" name="quantity" label="Quantity" class="n" :value="$print->amount((string) $open)" inputmode="decimal" /><button class="btn btn-quiet btn-small">Tie</button>
                </form>
                @endif
            @endforeach
        </div>
        <div>
            @foreach ($page->lines as $line) @foreach ($line->covers as $cover)
            <details class="more" @if (old('form') === "untie-{$cover->id}") open @endif><summary>Untie line {{ $line->position }} from {{ $cover->order_number ?? 'stock' }}</summary>
                <form class="actions align-items-start" method="post" action="{{ route('covers.destroy', $cover->id) }}">@csrf @method('delete') @token("untie-{$cover->id}")<x-field bare :in="new \App\Http\Typed("untie-{$cover->id}")" name="reason" label="Why" placeholder="why" maxlength="200" /><button class="btn btn-quiet btn-small">Untie {{ $print->amount($cover->quantity) }}</button></form>
            </details>
            @endforeach @endforeach
        </div>
    </div>
    @endcan
    @can('enter-customer-order')
    <details class="more mt-2" @if (Str::startsWith(old('form', ''), 'line-')) open @endif><summary>Change a line</summary>
        @foreach ($page->lines as $line)
        @php($form = new \App\Http\Typed("line-{$line->id}"))
        <form class="actions align-items-start" method="post" action="{{ route('customer-order-lines.update', $line->id) }}">@csrf @method('put') @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}">
            <span><span class="num">{{ $line->position }}</span> {{ $line->item_name }}</span>
            <x-field bare :in="$form" name="quantity" :label="'Quantity of line '.$line->position" class="n" :value="$print->amount($line->quantity)" inputmode="decimal" /> {{ $line->unit }}
            <x-day worked bare :in="$form" name="promised_on" :label="'Promise date of line '.$line->position" :value="$line->promised_on" /><button class="btn btn-quiet btn-small">Change line {{ $line->position }}</button>
        </form>
        @endforeach
    </details>
    @endcan
    @can('enter-customer-order')
    <details class="more mt-2" @if (Str::startsWith(old('form', ''), 'cancel-')) open @endif><summary>The customer no longer wants a line</summary>
        @foreach ($page->lines as $line) @if (\Brick\Math\BigDecimal::of($line->quantity)->minus($line->shipped_quantity)->minus($line->cancelled_quantity)->isPositive())
        @php($form = new \App\Http\Typed("cancel-{$line->id}"))
        <form class="actions align-items-start" method="post" action="{{ route('customer-order-lines.destroy', $line->id) }}">@csrf @method('delete') @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}">
            <span><span class="num">{{ $line->position }}</span> {{ $line->item_name }}: what is made for it</span><select class="form-select" name="then" aria-label="What becomes of it">@foreach (['shelf' => 'goes on for the shelf', 'hold' => 'is held', 'stop' => 'is stopped', 'line' => 'goes to another line'] as $key => $word)<option value="{{ $key }}" @selected($form->value('then') === $key)>{{ $word }}</option>@endforeach</select>
            <select class="form-select" name="other" aria-label="Other line"><option value="">no other line</option>@foreach ($page->others[$line->item_id] ?? [] as $other)@if ($other->id !== $line->id)<option value="{{ $other->id }}" @selected($form->value('other') === (string) $other->id)>{{ $other->number }}/{{ $other->position }}, {{ $other->customer }}</option>@endif @endforeach</select>
            <x-field bare :in="$form" name="reason" label="Why" placeholder="why" size="20" maxlength="200" /><button class="btn btn-quiet btn-small">Cancel line {{ $line->position }}</button>
            @if ($hang = $page->hangs[$line->id] ?? null)<span class="sub">On it hang {{ $hang }}.</span>@endif</form>
        @endif @endforeach
    </details>
    @endcan
    <h2>Booked on this order</h2>
    <x-bookings :rows="$page->bookings" />
</x-layout>
