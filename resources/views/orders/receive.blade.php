<x-layout title="Receive">
    <div class="head"><h1>Receive</h1><span class="say">{{ $rows->isEmpty() ? 'No order has good pieces at its last step.' : 'Good pieces at their last step, to be taken into stock.' }}</span></div>
    @if ($rows->isNotEmpty())
    <table class="list">
        <thead><tr><th>Order</th><th>Item</th><th class="w1">For</th><th class="n">Ready</th><th class="n w2">Received so far</th>@can('receive')<th class="n">Receive</th><th>To</th><th>Lot or serials</th><th></th>@endcan</tr></thead>
        <tbody>
        @foreach ($rows as $row)
            @php($form = new \App\Http\Typed("receive-{$row->id}"))
            <tr><td class="tight"><a class="num" href="{{ route('orders.show', $row->id) }}">{{ $row->number }}</a></td><td class="cut">{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td><td class="cut w1">{{ $row->customers ?? $row->for_number ?? 'the shelf' }}</td>
                <td class="n">{{ $print->amount($row->ready) }} {{ $row->unit }}</td><td class="n w2">{{ $print->amount($row->received_quantity) }} of {{ $print->amount($row->quantity) }}</td>
                @can('receive')
                <td class="n"><form id="r{{ $row->id }}" method="post" action="{{ route('receive.store', $row->id) }}">@csrf @token($form->form)</form><x-field bare :in="$form" form="r{{ $row->id }}" name="quantity" :label="'Quantity from '.$row->number" class="n ms-auto" :value="$print->amount($row->ready)" inputmode="decimal" /></td>
                <td><select class="form-select" form="r{{ $row->id }}" name="place_id" aria-label="To">@foreach ($places as $id => $name)<option value="{{ $id }}" @selected($form->isMine() ? old('place_id') == $id : $row->customers && Str::startsWith($name, 'Finished'))>{{ $name }}</option>@endforeach</select></td>
                <td>@if ($row->tracking !== 'none')<textarea @class(['form-control', 'is-wrong' => $form->why('codes')]) form="r{{ $row->id }}" name="codes" rows="1" cols="18" aria-label="{{ $row->tracking === 'lot' ? 'Lot' : 'Serials, one a line,' }} of {{ $row->number }}" placeholder="{{ $row->tracking === 'lot' ? 'lot: '.$row->number : 'serials: by numbering' }}">{{ $form->value('codes') }}</textarea>@if ($form->why('codes'))<div class="why">{{ $form->why('codes') }}</div>@endif @endif</td>
                <td><button class="btn btn-act btn-small" form="r{{ $row->id }}">Receive</button></td>
                @endcan</tr>
        @endforeach
        </tbody>
    </table>
    @endif
</x-layout>
