<x-layout title="Orders" :keys="['n' => 'release']" data-plan>
    <div class="head">
        <h1>Orders</h1>
        <nav class="pick" aria-label="State">
            @foreach ($filter->states() as $state)
                <a href="{{ route('orders.index', $filter->inState($state)) }}"
                    @if ($filter->state === $state) aria-current="true" @endif>{{ $state }}</a>
            @endforeach
        </nav>
        <span class="say">{{ $says }}</span>
        <span class="ms-auto"></span>
        <a href="{{ route('parts.index') }}">Parts of all</a>
        <a href="{{ route('rank.index') }}">Rank</a>
    </div>
    <form class="filters" action="{{ route('orders.index') }}">
        <input type="hidden" name="state" value="{{ $filter->state }}">
        <x-field name="text" label="Number or item" :value="$filter->text" size="16" />
        <x-choice name="readiness" label="Readiness" :options="$filter->readinesses()" :value="$filter->readiness"
            data-send />
        <x-choice name="pace" label="Pace" :options="$filter->paces()" :value="$filter->pace" data-send />
        <x-choice name="customer" label="Customer" :options="$customers" :value="$filter->customer" data-send />
        <x-choice name="work_centre" label="Work centre" :options="$workCentres" :value="$filter->workCentre"
            data-send />
        <button class="btn btn-quiet" data-keep>Narrow</button> <a href="{{ route('orders.index') }}">All open</a>
    </form>
    @if ($rows->isEmpty())
        <div class="none">{{ $filter->isAny() ? 'No order is open.' : 'No order is like this.' }}</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Order</th>
                    <th class="n">Pieces</th>
                    <th>Item</th>
                    <th class="w1">For</th>
                    <th class="w2">State</th>
                    <th>Steps, and where it should be by now</th>
                    <th>Pace</th>
                    <th class="w2">Due</th>
                    <th>Readiness</th>
                </tr>
            </thead>
            <tbody id="rows">
                @foreach ($rows as $order)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('orders.show', $order->id) }}"
                                title="last booking {{ $print->ago($order->lastBooking) }}">{{ $order->number }}</a>
                        </td>
                        <td class="n">{{ $print->amount($order->quantity) }}</td>
                        <td class="cut">{{ $order->item }} <span class="sub">{{ $order->itemNumber }}</span></td>
                        <td class="cut w1 whom">{{ $order->forWhom() }}</td>
                        <td class="w2"><x-state :state="$order->state" :held="$order->isHeld" /></td>
                        <td class="strip"><x-pace :strip="$strips[$order->id]" :words="false" /></td>
                        <td class="tight">
                            @if ($order->pace() !== null)
                                <x-late :minutes="$order->pace()" />
                            @endif
                        </td>
                        <td class="tight w2">{{ $print->day($order->dueOn) }}</td>
                        <td class="fill"><x-readiness :of="$order->readiness" /></td>
                    </tr>
                @endforeach
                @if ($more > 0)
                    <tr hx-get="{{ $next }}" hx-trigger="revealed" hx-select="#rows > tr" hx-swap="outerHTML">
                        <td colspan="9"><a href="{{ $next }}">{{ $print->number($more) }} more</a></td>
                    </tr>
                @endif
            </tbody>
        </table>
    @endif
    @can('change-order')
        <x-more summary="Make an order for the shelf" :open="$errors->hasAny(['item', 'quantity', 'due_on'])"
            class="mt-3">
            <x-form class="actions align-items-end" :to="route('orders.store')">
                <datalist id="items" hx-get="{{ route('items.choose') }}?q="
                    hx-trigger="toggle from:closest details once"></datalist>
                <x-field name="item" label="Item" list="items" required />
                <x-field name="quantity" label="Quantity" class="n" required inputmode="decimal" />
                <x-day worked name="due_on" label="Due" />
                <label class="d-inline">
                    <input type="checkbox" name="with_parts" value="1" checked> with orders for its short parts
                </label>
                <button class="btn btn-act">Make the order</button>
            </x-form>
        </x-more>
    @endcan
</x-layout>
