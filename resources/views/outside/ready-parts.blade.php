{{-- Parts of ours that go along, of which a supplier makes what was bought of him. --}}
<div class="wide">
    <table class="list typed level">
        <thead>
            <tr>
                <th>Goes along</th>
                <th>For</th>
                <th class="n">To come</th>
                <th class="n">There now</th>
                <th class="n">Still to go</th>
                <th>Unit</th>
                @can('outside')
                    <th>Going</th>
                    <th>From</th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($parts as $part)
                <tr>
                    <td>{{ $part->item }} <span class="sub text-nowrap">{{ $part->itemNumber }}</span></td>
                    <td>
                        <a class="num" href="{{ route('purchases.show', $part->purchaseId) }}">{{ $part->line }}</a>
                        {{ $part->made }}
                    </td>
                    <td class="n">{{ $print->amount($part->open) }} {{ $part->madeUnit }}</td>
                    <td class="n">{{ $print->some($part->there) }}</td>
                    <td class="n">{{ $print->amount($part->toGo()) }}</td>
                    <td>{{ $part->unit }}</td>
                    @can('outside')
                        @include('outside.along-cells', ['one' => $part, 'value' => ''])
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
