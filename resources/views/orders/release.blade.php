<x-layout title="Release">
    <div class="head"><h1>Release</h1><span class="say">{{ $rows->count() }} firm {{ $rows->count() === 1 ? 'order' : 'orders' }}; {{ $can->count() }} can be released with their parts.</span></div>
    @if ($rows->isEmpty())<div class="none">No firm order waits for release.</div>@else
    <form method="post" action="{{ route('release.store') }}">@csrf @token
        <table class="list">
            <thead><tr><th><input type="checkbox" data-all=".can" aria-label="All that can be released"></th><th>Order</th><th class="n">Pieces</th><th>Item</th><th class="w1">For</th><th class="w2">Steps</th><th>Pace</th><th class="w2">Due</th><th>Readiness</th></tr></thead>
            <tbody>
            @foreach ($rows as $row)
                <tr><td><input type="checkbox" name="orders[]" value="{{ $row->id }}" data-counts @class(['pick-order', 'can' => $can->contains('id', $row->id)]) aria-label="Order {{ $row->number }}" @checked(in_array($row->id, old('orders', []))) @cannot('release') disabled @endcannot></td>
                    <td class="tight"><a class="num" href="{{ route('orders.show', $row->id) }}">{{ $row->number }}</a></td><td class="n">{{ $print->amount($row->quantity) }}</td><td class="cut">{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td>
                    <td class="cut w1" style="max-width:9.5rem">{{ $row->for }}</td><td class="strip w2"><x-pace :strip="$strips[$row->id]" :words="false" /></td><td class="tight">@if ($row->due_on)<x-late :minutes="$row->late_minutes" />@endif</td><td class="tight w2">{{ $print->day($row->due_on) }}</td><td class="fill"><x-readiness :row="$row" /></td></tr>
            @endforeach
            </tbody>
        </table>
        @can('release')
        <div class="actions">
            <button class="btn btn-act" data-count-of=".pick-order" data-none="Tick orders to release" data-some="Release # order(s)">Release</button>
            <label class="d-inline" for="short_reason">Released short because</label><input class="form-control" id="short_reason" name="short_reason" value="{{ old('short_reason') }}" size="40" maxlength="200" placeholder="only when parts are missing">
            <span class="sub">Your name and the reason stay with the order.</span>
        </div>
        @endcan
    </form>
    @endif
</x-layout>
