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
        @foreach ($today->outside->take(7) as $out)
            <tr>
                <td class="tight">
                    <a class="num" href="{{ route('orders.show', $out->job->orderId) }}">{{ $out->job->order }}</a>
                </td>
                <td class="cut">
                    {{ $out->job->name }}, <x-amount :of="$out->job->toDo()" :unit="$out->job->unit" />
                </td>
                <td class="cut outside">{{ $out->supplier }}</td>
                <td>
                    <x-back :handfuls="$out->handfuls" :unit="$out->job->unit" />
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
