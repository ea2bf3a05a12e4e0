<table class="list">
    <thead>
        <tr>
            <th>Order</th>
            <th>Step</th>
            <th>At</th>
            <th>Back</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($today->outside as $out)
            <tr>
                <td class="tight">
                    <a class="num" href="{{ route('orders.show', $out->orderId) }}">{{ $out->order }}</a>
                </td>
                <td class="cut">
                    {{ $out->name }}, <x-amount :of="$out->there" :unit="$out->unit" />
                </td>
                <td class="cut outside">{{ $out->supplier }}</td>
                <td>
                    <x-back :handfuls="$out->handfuls" :unit="$out->unit" />
                    @foreach ($out->handfuls as $handful)
                        <x-more summary="back when?" class="when">
                            <x-comes :to="route('arrivals.consignment', $handful->id)" :days="$today->days"
                                :form="'arrival-consignment-'.$handful->id" />
                        </x-more>
                    @endforeach
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
