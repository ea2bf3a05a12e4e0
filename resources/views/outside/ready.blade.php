{{-- What can go to one supplier, as one consignment. --}}
<x-form class="sends" :key="'send-'.$supplier" :to="route('send-outs.store')">
    <input type="hidden" name="supplier" value="{{ $supplier }}">
    <div class="head">
        <h2><a class="outside" href="{{ route('suppliers.show', $supplier) }}">{{ $name }}</a></h2>
        <a class="sub" href="{{ route('send-outs.paper', $supplier) }}">Pick list</a>
        @if ($rows->isNotEmpty() && Gate::allows('outside'))
            <x-field bare name="scan" data-tick label="Scan an order" placeholder="scan an order" size="14"
                maxlength="40" />
        @endif
    </div>
    @if ($rows->isNotEmpty())
        <div class="wide">
            <table class="list typed level">
                <thead>
                    <tr>
                        @can('outside')
                            <th><span class="visually-hidden">Goes</span></th>
                        @endcan
                        <th>Order</th>
                        <th>Item</th>
                        <th>Step</th>
                        <th>Work ordered</th>
                        <th>Planned</th>
                        <th class="n">There now</th>
                        <th class="n">Here</th>
                        <th>Unit</th>
                        <th>One step before</th>
                        @can('outside')
                            <th>Going</th>
                        @endcan
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr data-code="{{ $row->order }}">
                            @can('outside')
                                <td>
                                    <input type="checkbox" name="{{ $row->field('goes') }}" value="1"
                                        aria-label="{{ $row->order }} goes" @checked(old($row->key('goes')))>
                                </td>
                            @endcan
                            <td class="tight">
                                <a class="num" href="{{ route('orders.show', $row->orderId) }}">{{ $row->order }}</a>
                            </td>
                            <td class="cut">{{ $row->item }} <span class="sub">{{ $row->itemNumber }}</span></td>
                            <td>{{ $row->step() }}</td>
                            <td>
                                @if ($ready->workOf($row) === [])
                                    <span class="soon">not ordered</span>
                                @else
                                    <x-work :of="$ready->workOf($row)" />
                                @endif
                            </td>
                            <td @class(['tight', 'behind notched' => $row->late > 0])>
                                {{ $print->when($row->planned) }}
                            </td>
                            <td class="n">{{ $print->some($row->there) }}</td>
                            <td class="n">{{ $print->some($row->here) }}</td>
                            <td>{{ $row->unit }}</td>
                            <td>{{ $row->beforeSays() }}</td>
                            @can('outside')
                                <td>
                                    @include('outside.going')
                                </td>
                            @endcan
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    @endif
    @if ($components->isNotEmpty())
        @include('outside.ready-components')
    @endif
    @if ($parts->isNotEmpty())
        @include('outside.ready-parts')
    @endif
    @can('outside')
        <div class="actions align-items-end">
            <x-field name="note" label="Note on the packing list" size="30" maxlength="200" />
            @if ($rows->first()?->isHere())
                <button class="btn btn-act" name="do" value="all">Send all that is here</button>
            @endif
            <button class="btn btn-quiet" name="do" value="ticked">
                {{ $rows->isEmpty() ? 'Send what is typed' : 'Send what is ticked' }}
            </button>
        </div>
    @endcan
</x-form>
@can('purchase')
    @if ($ready->notOrdered($rows) !== [])
        <x-order-work :steps="$ready->notOrdered($rows)" :form="'work-of-'.$supplier">
            Order the work of {{ $print->count(count($ready->notOrdered($rows)), 'step', 'steps') }}
        </x-order-work>
    @endif
@endcan
