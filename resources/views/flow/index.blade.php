<x-layout title="Coming and going" data-plan>
    <div class="head">
        <h1>Coming and going</h1>
        <span class="say">
            {{ $print->count(count($items), 'item falls', 'items fall', 'No item falls') }} short or below the safety
            level, by all that is known.
        </span>
        <a class="ms-auto" href="{{ route('stock.index') }}">On hand</a>
    </div>
    @if ($items === [])
        <div class="none">There is enough of everything.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Item</th>
                    <th class="n">Free now</th>
                    <th>Unit</th>
                    <th>Falls</th>
                    <th>Below</th>
                    <th class="n">Missing</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($items as $item)
                    <tr>
                        <td>
                            <a href="{{ route('flow.show', $item->id) }}">{{ $item->name }}</a>
                            <span class="sub text-nowrap">{{ $item->number }}</span>
                        </td>
                        <td class="n">{{ $print->amount($item->there) }}</td>
                        <td>{{ $item->unit }}</td>
                        <td class="tight">{{ $print->when($item->at) }}</td>
                        <td @class(['behind notched' => $item->isShort, 'soon' => ! $item->isShort])>
                            {{ $item->isShort ? 'what is needed' : 'its safety level' }}
                        </td>
                        <td class="n">{{ $print->amount($item->missing) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
