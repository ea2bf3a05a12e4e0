<x-layout :title="'Cost of '.$page->line->label()">
    <div class="head">
        <h1>
            <a href="{{ route('customer-orders.show', $page->line->customer_order_id) }}">{{ $page->line->label() }}</a>
            · what it costs
        </h1>
        <span class="say">
            {{ $print->amount($page->line->quantity) }} {{ $page->line->item->unit->code }}
            {{ $page->line->item->label() }}, {{ $page->line->customerOrder->customer->name }}
        </span>
    </div>
    <table class="list">
        <thead>
            <tr>
                <th></th>
                <th class="n">€ each</th>
                <th class="n">Of the price left, %</th>
                <th>Rests on</th>
            </tr>
        </thead>
        <tbody>
            <tr>
                <td>Agreed price</td>
                <td class="n">{{ $print->price($page->line->price) }}</td>
                <td></td>
                <td class="sub">stays as it is</td>
            </tr>
            <tr>
                <td>As the structure has it</td>
                <td class="n">{{ $print->price($page->master()) }}</td>
                <td class="n">{{ $page->marginBefore() }}</td>
                <td class="sub">structure and routing in force, for this quantity, at today's cost and rates</td>
            </tr>
            @if ($page->order)
                <tr>
                    <td>
                        As order <a class="num"
                            href="{{ route('orders.show', $page->order->id) }}">{{ $page->order->number }}</a> is
                    </td>
                    <td class="n">{{ $print->price($page->own()) }}</td>
                    <td class="n">{{ $page->marginAfter() }}</td>
                    <td class="sub">
                        {{ $page->isFrozen()
                            ? 'planned, as frozen at its release, less what comes back'
                            : 'its own parts at what they cost today, its work as the routing has it' }}
                    </td>
                </tr>
            @endif
        </tbody>
    </table>
    <h2>A price by a rule</h2>
    <form class="filters">
        <x-choice name="rule" label="Per cent" :options="['cost' => 'on the cost', 'price' => 'of the price']"
            :value="$asked['rule']" />
        <x-field name="percent" label="%" class="n" :value="$asked['percent']" inputmode="decimal" />
        <x-field name="step" label="In steps of €" class="n" :value="$asked['step']" inputmode="decimal"
            placeholder="0.01" />
        <button class="btn btn-quiet align-self-end">Reckon</button>
        @if ($price !== null)
            <strong class="align-self-end">{{ $print->price($price) }} € each</strong>
        @endif
        @if ($says !== '')
            <span class="behind align-self-end">{{ $says }}</span>
        @endif
        <span class="sub align-self-end">Nothing of this is kept.</span>
    </form>
</x-layout>
