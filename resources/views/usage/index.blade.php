<x-layout title="Issue" :keys="['p' => 'propose for the ticked orders']">
    <div class="head"><h1>Issue components</h1><span class="say">{{ $orders->count() === 1 ? '1 released order takes' : $orders->count().' released orders take' }} more; {{ ($n = $slips->where('state', 'open')->count()) === 1 ? '1 slip is' : "{$n} slips are" }} under way.</span>
        <span class="ms-auto"></span><a href="{{ route('returns.index') }}">Back to stores</a><a href="{{ route('shortages.index') }}">Shortages</a></div>
    <div class="two slip-list">
        <form method="post" action="{{ route('slips.store') }}">@csrf @token
            <div class="actions align-items-end">
                <button class="btn btn-act" data-keep data-count-of=".pick-issue" data-none="Tick orders" data-some="Propose for # order(s)" @cannot('issue') disabled @endcannot>Propose</button>
                <div><label for="s-part">What of them</label><select class="form-select" id="s-part" name="part">@foreach (['whole' => 'all that is planned', 'reported' => 'what is counted so far', 'step' => 'one step'] as $key => $word)<option value="{{ $key }}" @selected(old('part') === $key)>{{ $word }}</option>@endforeach</select></div>
                <x-field name="step_number" label="Step, if one" class="n" inputmode="numeric" /><x-why field="orders" />
            </div>
            <table class="list"><thead><tr><th><input type="checkbox" data-all=".pick-issue" aria-label="All orders"></th><th>Order</th><th>Item</th><th class="n">Pieces</th><th class="n">Open lines</th><th class="n">There</th><th>Due</th></tr></thead><tbody>
            @forelse ($orders as $order)<tr><td><input type="checkbox" name="orders[]" value="{{ $order->id }}" @checked(in_array($order->id, old('orders') !== null ? array_map(intval(...), (array) old('orders')) : $chosen)) data-counts class="pick-issue" aria-label="Order {{ $order->number }}"></td><td><a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a> <x-state :state="$order->state" /></td><td class="cut">{{ $order->item_name }} <span class="sub">{{ $order->item_number }}</span></td><td class="n">{{ $print->amount($order->quantity) }}</td><td class="n">{{ $order->open_lines }}</td><td @class(['n', 'behind notched' => $order->there_lines < $order->open_lines])>{{ (int) $order->there_lines }}</td><td class="tight">{{ $print->day($order->due_on) }}</td></tr>
            @empty<tr><td colspan="7" class="sub">Nothing is left to issue to any released order.</td></tr>@endforelse
            </tbody></table>
        </form>
        <section><h2 class="mt-0">Slips</h2>
            @if ($slips->isEmpty())<div class="none">No slip is under way.</div>@else
            <table class="list"><thead><tr><th>Slip</th><th>For</th><th class="n">Lines</th><th>Last</th></tr></thead><tbody>
            @foreach ($slips as $slip)<tr><td class="tight"><a class="num" href="{{ route('slips.show', $slip->id) }}">{{ $slip->id }}</a> @if ($slip->state === 'booked')<span class="tag">booked</span>@elseif ($slip->picked > 0)<span class="tag running">{{ $slip->picked }} picked</span>@endif</td><td>{{ $slip->order_count === 1 ? $slip->first_order : $slip->order_count.' orders' }} <span class="sub">{{ $slip->note }}</span></td><td class="n">{{ $slip->line_count }}</td><td class="sub tight">{{ $slip->person }}, {{ $print->when($slip->updated_at) }}</td></tr>@endforeach
            </tbody></table>@endif
        </section>
    </div>
</x-layout>
