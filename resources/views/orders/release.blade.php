<x-layout title="Release">
    <div class="head">
        <h1>Release</h1>
        <span class="say">
            {{ $print->count($rows->count(), 'firm order', 'firm orders') }};
            {{ $can->count() }} can be released with their parts.
        </span>
    </div>
    @if ($rows->isEmpty())
        <div class="none">No firm order waits for release.</div>
    @else
        <form method="post" action="{{ route('release.store') }}">
            @csrf
            @token
            <table class="list">
                <thead>
                    <tr>
                        <th><input type="checkbox" data-all=".can" aria-label="All that can be released"></th>
                        <th>Order</th>
                        <th class="n">Pieces</th>
                        <th>Item</th>
                        <th class="w1">For</th>
                        <th class="w2">Steps</th>
                        <th>Pace</th>
                        <th class="w2">Due</th>
                        <th>Readiness</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $order)
                        <tr>
                            <td>
                                <input type="checkbox" name="orders[]" value="{{ $order->id }}" data-counts
                                    @class(['pick-order', 'can' => $order->canBeReleased()])
                                    aria-label="Order {{ $order->number }}"
                                    @checked(in_array($order->id, old('orders', [])))
                                    @cannot('release') disabled @endcannot>
                            </td>
                            <td class="tight">
                                <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                            </td>
                            <td class="n">{{ $print->amount($order->quantity) }}</td>
                            <td class="cut">{{ $order->item }} <span class="sub">{{ $order->itemNumber }}</span></td>
                            <td class="cut w1 whom">{{ $order->forWhom() }}</td>
                            <td class="strip w2"><x-pace :strip="$strips[$order->id]" :words="false" /></td>
                            <td class="tight">
                                @if ($order->pace() !== null)
                                    <x-late :minutes="$order->pace()" />
                                @endif
                            </td>
                            <td class="tight w2">{{ $print->day($order->dueOn) }}</td>
                            <td class="fill"><x-readiness :of="$order->readiness" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @can('release')
                <div class="actions">
                    <button class="btn btn-act" data-count-of=".pick-order" data-none="Tick orders to release"
                        data-some="Release # order(s)">Release</button>
                    <label class="d-inline" for="short_reason">Released short because</label>
                    <input class="form-control" id="short_reason" name="short_reason" value="{{ old('short_reason') }}"
                        size="40" maxlength="200" placeholder="only when parts are missing">
                    <span class="sub">Your name and the reason stay with the order.</span>
                </div>
            @endcan
        </form>
    @endif
</x-layout>
