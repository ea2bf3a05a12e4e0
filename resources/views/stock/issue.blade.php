@php($amount = fn ($of): string => \App\Wording\Figures::amount((string) $of))
@php([$open, $done] = $lines->partition(fn ($line) => \Brick\Math\BigDecimal::of($line->open)->isPositive() || old("lines.{$line->id}.quantity", '0') !== '0'))
<x-layout title="Issue">
    <div class="head"><h1>Issue components</h1><span class="say">{{ $lines->isEmpty() ? 'Choose the orders to issue to.' : 'A proposal: change what is not so, then book it at once.' }}</span></div>
    <div class="two slip">
        <section>
        @if ($lines->isEmpty())<div class="none">{{ $chosen === [] ? 'No order is chosen.' : 'Everything planned for these orders is issued, or they are not released.' }}</div>@else
        <form method="post" action="{{ route('issue.store') }}">@csrf @token
            @foreach (['open' => $open, 'done' => $done] as $part => $rows)
            @if ($part === 'done' && $rows->isNotEmpty())<details class="more mt-2"><summary>{{ $rows->count() === 1 ? '1 line has' : $rows->count().' lines have' }} all that is planned</summary>@endif
            @if ($rows->isNotEmpty())
            <table class="list">
                <thead><tr><th>Order</th><th class="n">Step</th><th>Item</th><th class="n">Planned</th><th class="n">Used</th><th class="n">On hand</th><th class="n">Issue now</th><th>Unit</th><th>Lot</th></tr></thead>
                <tbody>
                @foreach ($rows as $line)
                    <tr @class(['wrong' => $errors->has("lines.{$line->id}.quantity")])><td class="tight"><a class="num" href="{{ route('orders.show', $line->order_id) }}">{{ $line->order_number }}</a></td><td class="n">{{ $line->step_number }}</td><td>{{ $line->item_name }} <span class="sub">{{ $line->item_number }}</span></td>
                        <td class="n">{{ $amount($line->planned_quantity) }}</td><td class="n">{{ $amount($line->used_quantity) }}</td><td @class(['n', 'behind notched' => $line->short])>{{ $amount($line->on_hand) }}</td>
                        <td class="n"><input @class(['form-control n ms-auto', 'is-wrong' => $errors->has("lines.{$line->id}.quantity")]) name="lines[{{ $line->id }}][quantity]" value="{{ old("lines.{$line->id}.quantity", $line->proposed) }}" inputmode="decimal" aria-label="Issue of {{ $line->item_name }} to {{ $line->order_number }}" @cannot('issue') disabled @endcannot><x-why field="lines.{{ $line->id }}.quantity" /></td><td>{{ $line->unit }}</td>
                        <td>@if ($line->tracking !== 'none' && $line->lots->isNotEmpty())<select class="form-select" name="lines[{{ $line->id }}][lot]" aria-label="Lot of {{ $line->item_name }} to {{ $line->order_number }}"><option value="0">oldest first</option>@foreach ($line->lots as $lot)<option value="{{ $lot->lot_id }}" @selected(old("lines.{$line->id}.lot") == $lot->lot_id)>{{ $lot->code }} ({{ $amount($lot->quantity) }})</option>@endforeach</select>@endif</td></tr>
                @endforeach
                </tbody>
            </table>@endif
            @if ($part === 'done' && $rows->isNotEmpty())</details>@endif
            @if ($part === 'open') @can('issue')<div class="actions"><button class="btn btn-act">Issue these components</button><label class="d-inline"><input type="checkbox" name="over_plan" value="1" @checked(old('over_plan'))> more than planned is meant</label><input class="form-control" name="reason" value="{{ old('reason') }}" placeholder="reason, if there is one" aria-label="Reason" size="30"></div>@endcan @endif
            @endforeach
        </form>@endif
        </section>
        <form>
            <table class="list"><thead><tr><th><input type="checkbox" data-all=".pick-issue" aria-label="All orders"></th><th>Order</th><th>Item</th><th class="n">Lines</th><th>Due</th></tr></thead><tbody>
            @forelse ($orders as $order)<tr><td><input type="checkbox" name="orders[]" value="{{ $order->id }}" @checked(in_array($order->id, $chosen)) data-counts class="pick-issue" aria-label="Order {{ $order->number }}"></td><td class="num">{{ $order->number }}</td><td class="cut">{{ $order->item_name }}</td><td class="n">{{ $order->open_lines }}</td><td class="tight">{{ \App\Wording\When::day($order->due_on) }}</td></tr>
            @empty<tr><td colspan="5" class="sub">Nothing is left to issue to any released order.</td></tr>@endforelse
            </tbody></table>
            <div class="actions"><button class="btn btn-quiet" data-keep data-count-of=".pick-issue" data-none="Tick orders" data-some="Propose for # order(s)">Propose</button></div>
        </form>
    </div>
</x-layout>
