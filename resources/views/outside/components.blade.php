{{-- Components at suppliers: stock there, for the pieces of one order. --}}
<div class="wide">
    <table class="list">
        <thead>
            <tr>
                <th>At</th>
                <th>Went along with pieces</th>
                <th class="n">There</th>
                <th>Unit</th>
                @can('see-money')
                    <th class="n">€</th>
                @endcan
                <th>For</th>
                @can('outside')
                    <th>Came back unused</th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($page->components as $one)
                <tr>
                    <td class="cut outside">{{ $one->supplier }}</td>
                    <td>{{ $one->item }} <span class="sub text-nowrap">{{ $one->itemNumber }}</span></td>
                    <td class="n">{{ $print->amount($one->there) }}</td>
                    <td>{{ $one->unit }}</td>
                    @can('see-money')
                        <td class="n">{{ $print->money($one->cents) }}</td>
                    @endcan
                    <td>
                        <a class="num" href="{{ route('orders.show', $one->orderId) }}">{{ $one->order }}</a>
                        {{ $one->step }}
                    </td>
                    @can('outside')
                        <td>
                            <x-form class="actions mb-0" :key="$one->form()" :to="route('unused.store', $one->id)">
                                <x-field bare name="quantity" :label="$one->itemNumber.' of '.$one->order.' came back'"
                                    class="n few" size="6" inputmode="decimal" />
                                <x-choice bare name="place_id" label="Put where" :options="$page->places" />
                                <button class="btn btn-quiet btn-small">Into stores</button>
                            </x-form>
                        </td>
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
