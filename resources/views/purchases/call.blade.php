<x-layout :title="'Call '.$supplier->name" data-plan>
    <div class="head">
        <h1>Call {{ $supplier->name }}</h1>
        <span class="say">
            @foreach ($supplier->contacts as $contact)
                {{ $contact->name }}@foreach ($contact->ways->where('kind', 'phone') as $way),
                    <a href="tel:{{ str_replace(' ', '', $way->at) }}">{{ $way->at }}</a>@endforeach
                {{ $loop->last ? '' : '·' }}
            @endforeach
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('suppliers.show', $supplier->id) }}">Supplier</a>
        <a href="{{ route('chase.index') }}">Chase</a>
    </div>
    @if ($rows === [])
        <div class="none">Nothing is at them or due from them.</div>
    @else
        <x-form method="put" key="call" :to="route('chase.days', $supplier->id)">
            <div class="wide">
                <table class="list typed level">
                    <thead>
                        <tr>
                            <th>With</th>
                            <th>What</th>
                            <th class="n">To come</th>
                            <th>Unit</th>
                            <th>As it stands</th>
                            <th>Orders that wait</th>
                            <th>Comes on</th>
                            <th>Nobody knows, ask again then</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($rows as $row)
                            <tr @class(['wrong' => $errors->has($row->key())])>
                                <td class="tight"><a href="{{ $row->to }}">{{ $row->document }}</a></td>
                                <td>{{ $row->item }} <span class="sub text-nowrap">{{ $row->itemNumber }}</span></td>
                                <td class="n">{{ $print->amount($row->quantity) }}</td>
                                <td>{{ $row->unit }}</td>
                                <td @class(['behind notched' => $row->isLate()])>
                                    {{ $row->arrivalSays() }}
                                    @if ($row->history !== '')<div class="sub">{{ $row->history }}</div>@endif
                                </td>
                                <td>
                                    @foreach ($row->holdsUp as $order)
                                        <a class="num"
                                            href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                                        @if ($order->isLate())
                                            <span class="sub behind">{{ $print->pace($order->late) }}</span>
                                        @endif
                                    @endforeach
                                </td>
                                <td>
                                    <x-day bare worked :name="$row->field('on')" :field="$row->key('on')"
                                        :label="'Day of '.$row->document" />
                                    <x-why :field="$row->key()" />
                                </td>
                                <td>
                                    <input type="checkbox" name="{{ $row->field('unknown') }}" value="1"
                                        aria-label="Nobody knows when {{ $row->document }} comes"
                                        @checked(old($row->key('unknown')))>
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
            @can('purchase')
                <div class="actions align-items-end">
                    <x-field name="reason" label="Who said it, if worth keeping" size="30" maxlength="200" />
                    <button class="btn btn-act">Save all days</button>
                    <span class="sub">What is left empty stays as it is.</span>
                </div>
            @endcan
        </x-form>
    @endif
</x-layout>
