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
    @can('draw-up')
        <x-form class="actions" :to="route('replaced-items.store', $item->id)" key="replace">
            <x-field bare name="by" label="Number of the item that takes its place" placeholder="another item"
                size="14" maxlength="40" list="others" />
            <datalist id="others" hx-get="{{ route('items.choose') }}?q="
                hx-trigger="focusin from:closest form once"></datalist>
            <x-field bare name="note" label="Why" placeholder="why" size="24" maxlength="200" />
            <button class="btn btn-quiet btn-small">Take that instead, everywhere</button>
        </x-form>
    @endcan
@endif
