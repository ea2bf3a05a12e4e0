{{-- Parts of ours at suppliers: stock there, of which something is made that is bought. --}}
<div class="wide">
    <table class="list">
        <thead>
            <tr>
                <th>At</th>
                <th>Part</th>
                <th class="n">There</th>
                <th>Unit</th>
                @can('see-money')
                    <th class="n">€</th>
                @endcan
                <th>For</th>
                <th class="n">To come of it</th>
                @can('outside')
                    <th></th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($page->parts as $part)
                <tr>
                    <td class="cut outside">{{ $part->supplier }}</td>
                    <td>{{ $part->item }} <span class="sub text-nowrap">{{ $part->itemNumber }}</span></td>
                    <td class="n">{{ $print->amount($part->there) }}</td>
                    <td>{{ $part->unit }}</td>
                    @can('see-money')
                        <td class="n">{{ $print->money($part->cents) }}</td>
                    @endcan
                    <td>
                        <a class="num" href="{{ route('purchases.show', $part->purchaseId) }}">{{ $part->line }}</a>
                        {{ $part->made }}
                    </td>
                    <td class="n">{{ $print->some($part->open) }} {{ $part->madeUnit }}</td>
                    @can('outside')
                        <td><x-made-forms :part="$part" /></td>
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
