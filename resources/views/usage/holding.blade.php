{{-- Orders that components lie in, to choose one of. --}}
@if ($orders->isEmpty())
    <div class="none">Nothing was issued to an open order.</div>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Order</th>
                <th>Item</th>
                <th>State</th>
                <th class="n">Components in it</th>
                <th class="n">More than planned</th>
                <th class="n">€ issued</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($orders as $one)
                <tr>
                    <td>
                        <a class="num"
                            href="{{ route('returns.index', ['order' => $one->number]) }}">{{ $one->number }}</a>
                    </td>
                    <td>{{ $one->item }} <span class="sub">{{ $one->itemNumber }}</span></td>
                    <td><x-state :state="$one->state" :held="$one->isHeld" /></td>
                    <td class="n">{{ $one->components }}</td>
                    <td @class(['n', 'soon' => $one->over > 0])>{{ $one->over ?: '' }}</td>
                    <td class="n">{{ $print->money($one->value) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
