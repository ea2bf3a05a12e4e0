{{-- Who sells an item, on what terms. --}}
<table class="list">
    <thead>
        <tr>
            <th>Supplier</th>
            <th>Their number</th>
            <th class="n">At least, {{ $item->unit->code }}</th>
            <th class="n">Days</th>
            <th>€ each</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->sources as $source)
            <tr>
                <td class="cut">
                    {{ $source->supplier->name }}
                    @if ($source->supplier_id === $item->supplier_id)<span class="tag good">usual</span>@endif
                </td>
                <td>
                    {{ $source->number }}
                    @if ($source->along() !== '')<span class="sub">made of {{ $source->along() }}</span>@endif
                </td>
                <td class="n">{{ $print->some($source->minimum_quantity) }}</td>
                <td class="n">
                    {{ $print->some($source->lead_time_days) }}
                    @if ($source->transport_days > 0)
                        <span class="sub">{{ $source->transport_days }} on the way</span>
                    @endif
                </td>
                <td>
                    @foreach ($source->prices as $price)
                        <span class="text-nowrap">
                            {{ $price->isOfAny() ? '' : 'from '.$print->amount($price->from_quantity).':' }}
                            {{ $print->price($price->price) }}{{ $loop->last ? '' : ',' }}
                        </span>
                    @endforeach
                    @if ($source->setup_cents > 0)
                        <span class="sub">set-up {{ $print->money($source->setup_cents) }}</span>
                    @endif
                    @if ($source->minimum_cents > 0)
                        <span class="sub">at least {{ $print->money($source->minimum_cents) }}</span>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
