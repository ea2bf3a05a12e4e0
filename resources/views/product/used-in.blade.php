{{-- What an item stands in, at any level. --}}
@if ($page->usedIn === [])
    <div class="none">It stands in no structure in force.</div>
@else
    <table class="list">
        <thead>
            <tr><th>Item</th><th></th><th class="n">For one, {{ $item->unit->code }}</th><th></th></tr>
        </thead>
        <tbody>
            @foreach ($page->usedIn as $use)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('items.show', $use->item->id) }}">{{ $use->item->number }}</a>
                    </td>
                    <td class="cut">{{ $use->item->name }}</td>
                    <td class="n">{{ $print->amount($use->quantity) }}</td>
                    <td class="sub">{{ $use->isDirect ? '' : 'through others' }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
