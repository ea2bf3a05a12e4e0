{{-- Claims on suppliers, with what can be said to them. --}}
<div class="wide">
    <table class="list">
        <thead>
            <tr>
                <th>Since</th>
                <th>Supplier</th>
                <th>Order</th>
                <th>Step</th>
                <th class="n">Pieces</th>
                <th>Why</th>
                @can('see-money')
                    <th class="n">€ claimed</th>
                @endcan
                <th>How it stands</th>
                @can('purchase')
                    <th></th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $claim)
                <tr>
                    <td class="tight" title="{{ $print->moment($claim->openedAt) }}">
                        <a href="{{ route('bookings.show', $claim->bookingId) }}">
                            {{ $print->ago($claim->openedAt) }}</a>
                    </td>
                    <td class="cut">
                        <a href="{{ route('suppliers.show', $claim->supplierId) }}">{{ $claim->supplier }}</a>
                    </td>
                    <td class="tight">
                        <a class="num" href="{{ $claim->address() }}">{{ $claim->order }}</a>
                    </td>
                    <td>{{ $claim->step }}</td>
                    <td class="n">{{ $print->amount($claim->pieces) }} {{ $claim->unit }}</td>
                    <td class="cut">{{ $claim->reason }}</td>
                    @can('see-money')
                        <td class="n">{{ $print->money($claim->cents) }}</td>
                    @endcan
                    <td @class(['soon' => $claim->state->isOpen()])>
                        {{ $claim->state->label() }}
                        @if ($claim->granted > 0)
                            {{ $print->money($claim->granted) }} €
                        @endif
                    </td>
                    @can('purchase')
                        <td>@include('outside.claim-forms')</td>
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
