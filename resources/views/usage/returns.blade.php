<x-layout title="Return components">
    <div class="head"><h1>Components back to stores</h1><span class="say">{{ $order === null ? ($number === '' ? 'Of which order?' : "There is no order {$number}.") : "What lies in order {$order->number}, {$order->item->name}, lot by lot." }}</span></div>
    <form class="filters" action="{{ route('returns.index') }}"><div><label for="r-o">Order</label><input class="form-control" id="r-o" name="order" value="{{ $number }}" list="orders-in-shop" size="10"><datalist id="orders-in-shop">@foreach ($orders as $one)<option value="{{ $one->number }}">{{ $one->item_name }}, {{ $one->state }}</option>@endforeach</datalist></div><button class="btn btn-quiet">Show</button></form>
    @if ($order !== null)
        @if ($lines->isEmpty())<div class="none">Nothing was issued to it that still lies in it.</div>@else
        <form method="post" action="{{ route('returns.store', $order->id) }}">@csrf @token
        <table class="list"><thead><tr><th class="n">Step</th><th>Item</th><th>Lot or serial</th><th class="n">Planned</th><th class="n">In the order</th><th>Unit</th><th class="n">Value €</th><th class="n">Back now</th></tr></thead><tbody>
        @foreach ($lines as $line)
            <tr @class(['wrong' => $errors->has("lines.{$line->key}")])><td class="n">{{ $line->step_number }}</td><td>{{ $line->item_name }} <span class="sub">{{ $line->item_number }}</span></td><td>{{ $line->lot }}</td><td class="n">{{ $print->amount($line->planned_quantity) }}</td><td class="n">{{ $print->amount($line->quantity) }}</td><td>{{ $line->unit }}</td><td class="n">{{ $print->money((int) $line->value) }}</td><td class="n"><input class="form-control n ms-auto" name="lines[{{ $line->key }}]" value="{{ old("lines.{$line->key}") }}" inputmode="decimal" autocomplete="off" aria-label="Back of {{ $line->item_name }} {{ $line->lot }}" @cannot('issue') disabled @endcannot><x-why :field="'lines.'.$line->key" /></td></tr>
        @endforeach
        </tbody></table>
        @can('issue')<div class="actions align-items-end">
            <x-choice name="place_id" label="To" :options="$places" />
            <x-choice name="condition" label="As" :options="$print->conditions()" />
            <x-field name="reason" label="Why it comes back" size="28" maxlength="200" /><button class="btn btn-act">Take these back</button></div>@endcan
        </form>@endif
    @endif
</x-layout>
