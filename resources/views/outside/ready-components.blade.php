{{-- Components of the steps above, which go along with their pieces. --}}
<div class="wide mt-2">
    <table class="list typed level">
        <thead>
            <tr>
                <th>Goes along</th>
                <th>With</th>
                <th class="n">There now</th>
                <th class="n">For pieces that are here</th>
                <th>Unit</th>
                @can('outside')
                    <th>Going</th>
                    <th>From</th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($components as $one)
                <tr>
                    <td>
                        <input type="hidden" name="{{ $one->field('step') }}" value="{{ $one->stepId }}">
                        <input type="hidden" name="{{ $one->field('here') }}" value="{{ $print->some($one->toGo) }}">
                        {{ $one->item }} <span class="sub text-nowrap">{{ $one->itemNumber }}</span>
                    </td>
                    <td>
                        <a class="num" href="{{ route('orders.show', $one->orderId) }}">{{ $one->order }}</a>
                        {{ $one->step }}
                    </td>
                    <td class="n">{{ $print->some($one->there) }}</td>
                    <td class="n">
                        {{ $print->some($one->toGo) }} <span class="sub">{{ $one->openSays() }}</span>
                    </td>
                    <td>{{ $one->unit }}</td>
                    @can('outside')
                        @include('outside.along-cells', ['value' => $print->some($one->toGo)])
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
