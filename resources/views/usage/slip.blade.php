@php($slip = $page->slip)
@php($open = $slip->state === 'open' && auth()->user()->can('issue'))
@php($amount = fn ($of): string => \App\Wording\Figures::amount($of === null ? null : (string) $of))
@php($part = ['whole' => 'all that is planned', 'reported' => 'what is counted so far', 'step' => "step {$slip->step_number}"][$slip->part])
@php($unnamed = $page->unnamed())
<x-layout :title="'Slip '.$slip->id">
    <div class="head"><h1>Usage slip {{ $slip->id }}</h1><span class="say">{{ $page->lines->where('is_out', 0)->count() === 1 ? '1 line' : $page->lines->where('is_out', 0)->count().' lines' }} for {{ $page->orders->count() === 1 ? 'order '.$page->orders->first()->number : $page->orders->count().' orders' }}, {{ $part }}. @if ($slip->state === 'booked')<a href="{{ route('bookings.show', $slip->booking_id) }}">Booked</a> by {{ $slip->changedBy->name }}.@elseif ($slip->state === 'dropped')Given up by {{ $slip->changedBy->name }}.@else{{ $unnamed === 0 ? 'A proposal: change what is not so, then book it at once.' : ($unnamed === 1 ? '1 line has lots or serials to be named.' : "{$unnamed} lines have lots or serials to be named.") }}@endif</span>
        <span class="ms-auto"></span>@if ($slip->state === 'open')<a href="{{ route('slips.pick', $slip->id) }}">Pick list</a><a href="{{ route('slips.paper', $slip->id) }}" target="_blank">Print</a>@endif<a href="{{ route('issue.index') }}">All slips</a></div>
    @foreach ($page->lots as $item => $lots)<datalist id="lots-{{ $item }}">@foreach ($lots->unique('code') as $lot)<option value="{{ $lot->code }}">{{ $amount($lot->quantity) }} at {{ $lot->place }}{{ $lot->expires_on ? ', until '.$lot->expires_on : '' }}</option>@endforeach</datalist>@endforeach
    <form method="post" action="{{ route('slips.update', $slip->id) }}" id="slip">@csrf @method('put') @token<input type="hidden" name="version" value="{{ $slip->version }}">
        @if ($open)<div class="actions slip-do">
            <button class="btn btn-act" name="do" value="book">Book these components</button><button class="btn btn-quiet" name="do" value="keep">Keep as a draft</button>
            <label class="d-inline"><input type="checkbox" name="over_plan" value="1" @checked(old('over_plan'))> more than planned is meant</label>
            <x-field bare name="reason" label="Reason" placeholder="reason, where more is used" size="24" maxlength="200" /><label class="d-inline" title="The day it counts for; empty = today">booked on <input class="form-control d-inline-block" type="date" name="booked_on" value="{{ old('booked_on', $slip->booked_on) }}"></label><x-why field="booked_on" /><x-field bare name="note" label="Note on the slip" placeholder="note on the slip" size="16" maxlength="200" :value="$slip->note" />
        </div>@endif
        @if ($page->lines->isEmpty())<div class="none">This slip has no line.</div>@else
        <table class="list slip"><thead><tr><th>Order</th><th class="n">Step</th><th>Item</th><th class="n">Planned</th><th class="n">Used</th><th class="n">Proposed</th><th class="n">On hand</th><th class="n">Use now</th><th>Unit</th><th>Lots and serials</th><th></th></tr></thead><tbody>
        @foreach ($page->lines as $i => $line)
            @php($key = "lines.{$line->id}")
            @php($wrong = $errors->has("{$key}.quantity") || $errors->has("{$key}.splits") || $errors->has("{$key}.reason") || $errors->has("{$key}.item"))
            @php($again = $i > 0 && $page->lines[$i - 1]->order_id === $line->order_id)
            <tr @class(['wrong' => $wrong, 'out' => $line->is_out]) data-line>
                <td class="tight">@if (! $again)<a class="num" href="{{ route('orders.show', $line->order_id) }}">{{ $line->order_number }}</a> @if ($says = $page->orders[$line->order_id]->says)<span class="tag held">{{ $says }}</span>@endif @endif</td><td class="n">{{ $line->step_number }}</td>
                <td>{{ $line->item_name }} <span class="sub text-nowrap">{{ $line->item_number }}</span>@if ($line->reason !== '')<span class="sub"> · {{ $line->reason }}</span>@endif @if ($line->component_id === null) <span class="tag soon">not planned</span>@elseif ($line->planned_number !== $line->item_number) <span class="tag soon">for {{ $line->planned_name }}</span>@endif @if ($line->supplied_by === 'customer')<span class="tag">customer's own</span>@endif</td>
                <td class="n">{{ $amount($line->planned_quantity) }}</td><td class="n">{{ $line->used_quantity > 0 ? $amount($line->used_quantity) : '' }}@if ($line->replaced_quantity > 0)<span class="sub"> +{{ $amount($line->replaced_quantity) }}</span>@endif</td><td class="n">{{ $amount($line->proposed) }}</td><td @class(['n', 'behind notched' => (float) $line->on_hand < (float) $line->proposed])>{{ $amount($line->on_hand) }}</td>
                @if (! $open || $line->is_out)<td class="n">{{ $line->is_out ? '–' : $line->typed }}</td><td>{{ $line->unit ?: $line->stock_unit }}</td><td>@foreach ($line->splits as $split){{ $split->code }} @if ($split->code !== '')<span class="sub">{{ $amount($split->typed) }}</span>{{ $loop->last ? '' : ', ' }}@endif @endforeach</td>
                <td class="tight">@if ($open)<button class="btn btn-quiet btn-small" name="lines[{{ $line->id }}][out]" value="0">Put back</button>@endif</td>
                @else
                <td class="n"><input @class(['form-control n', 'is-wrong' => $errors->has("{$key}.quantity")]) name="lines[{{ $line->id }}][quantity]" value="{{ old("{$key}.quantity", $line->typed) }}" inputmode="decimal" autocomplete="off" aria-label="Use of {{ $line->item_name }} for {{ $line->order_number }}" data-use><x-why :field="$key.'.quantity'" /></td>
                <td>@if ($line->units->isEmpty()){{ $line->stock_unit }}@else<select class="form-select" name="lines[{{ $line->id }}][unit]" aria-label="Unit of {{ $line->item_name }} for {{ $line->order_number }}">@foreach ([$line->stock_unit, ...$line->units->pluck('code')] as $unit)<option value="{{ $unit === $line->stock_unit ? '' : $unit }}" @selected(old("{$key}.unit", $line->unit) === ($unit === $line->stock_unit ? '' : $unit))>{{ $unit }}</option>@endforeach</select>@endif</td>
                <td>@if ($line->tracking !== 'none')<div class="splits" data-splits>@foreach ([...(old("{$key}.splits") ?? $line->splits->map(fn ($split) => ['code' => $split->code, 'quantity' => $split->typed])->all()), ['code' => '', 'quantity' => '']] as $n => $split)
                    @continue ($n > 0 && ($split['code'] ?? '').($split['quantity'] ?? '') === '' && ! $loop->last)
                    <span class="split"><input class="form-control code" name="lines[{{ $line->id }}][splits][{{ $n }}][code]" value="{{ $split['code'] ?? '' }}" list="lots-{{ $line->item_id }}" autocomplete="off" placeholder="{{ $line->tracking }}" aria-label="{{ ucfirst($line->tracking) }} {{ $n + 1 }} of {{ $line->item_name }} for {{ $line->order_number }}"><input class="form-control n few" name="lines[{{ $line->id }}][splits][{{ $n }}][quantity]" value="{{ $amount($split['quantity'] ?? '') }}" inputmode="decimal" autocomplete="off" aria-label="Of {{ $line->tracking }} {{ $n + 1 }} of {{ $line->item_name }} for {{ $line->order_number }}"></span>@endforeach
                    @if ($line->left !== null)<span @class(['left', 'behind notched' => ! $line->left->isZero(), 'good' => $line->left->isZero()]) data-left>{{ $line->left->isZero() ? ($line->splits->isEmpty() ? '' : 'all named') : ($line->left->isPositive() ? $amount($line->left).' still to be named' : $amount($line->left->negated()).' named too many') }}</span>@endif</div>@else<span class="sub">{{ $line->splits->pluck('place')->filter()->unique()->join(', ') }}</span>@endif<x-why :field="$key.'.splits'" /></td>
                <td class="tight"><details class="more" @if ($wrong) open @endif><summary aria-label="More on {{ $line->item_name }} for {{ $line->order_number }}">more</summary><div class="line-more" @if (! $wrong) hx-get="{{ route('slips.line', [$slip->id, $line->id]) }}" hx-trigger="toggle from:closest details once" @endif>@if ($wrong)@include('usage.line')@endif</div></details></td>@endif
            </tr>
        @endforeach
        </tbody></table>@endif
    </form>
    @if ($open)
    @php($form = new \App\Http\Typed('add'))
    <details class="more mt-3" @if ($form->isMine()) open @endif><summary>Add what is not on it</summary>
        <form class="actions align-items-end" method="post" action="{{ route('slips.add', $slip->id) }}">@csrf @token($form->form)<input type="hidden" name="version" value="{{ $slip->version }}">
            <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="toggle from:closest details once"></datalist>
            <div><label for="a-o">Order</label><select class="form-select" id="a-o" name="order">@foreach ($page->orders as $order)<option value="{{ $order->id }}" @selected($form->value('order') === (string) $order->id)>{{ $order->number }}</option>@endforeach</select></div>
            <x-field :in="$form" name="item" label="Item" list="items" /><x-field :in="$form" name="step_number" label="Step" class="n" :value="(string) ($page->lines->first()->step_number ?? 10)" inputmode="numeric" /><x-field :in="$form" name="quantity" label="Quantity" class="n" inputmode="decimal" /><x-field :in="$form" name="unit" label="Unit" size="4" placeholder="stock" /><x-field :in="$form" name="reason" label="Why" size="22" maxlength="200" /><button class="btn btn-quiet">Add it</button>
        </form></details>
    <form class="actions mt-3" method="post" action="{{ route('slips.destroy', $slip->id) }}">@csrf @method('delete') @token<input type="hidden" name="version" value="{{ $slip->version }}"><button class="btn btn-quiet btn-small">Give this slip up</button><span class="sub">Last kept by {{ $slip->changedBy->name }}, {{ \App\Wording\When::say($slip->updated_at) }}.</span></form>
    @endif
</x-layout>
