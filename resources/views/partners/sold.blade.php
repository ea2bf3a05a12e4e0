{{-- Items a supplier sells, on what terms. --}}
@if ($page->items->rows->isEmpty())
    <div class="none">No item says that they sell it.</div>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Item</th>
                <th></th>
                <th class="w2">Their number</th>
                <th class="n w2">At least</th>
                <th class="n">Days</th>
                <th class="n w1">€ each</th>
                <th>Unit</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->items->rows as $item)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('items.show', $item->id) }}">{{ $item->number }}</a>
                    </td>
                    <td class="cut">
                        {{ $item->name }}
                        @if ($item->isUsual)<span class="tag good">usual</span>@endif
                    </td>
                    <td class="w2">{{ $item->theirs }}</td>
                    <td class="n w2">{{ $print->some($item->minimum) }}</td>
                    <td class="n">{{ $print->some($item->leadTimeDays) }}</td>
                    <td class="n w1">{{ $item->price === null ? '' : $print->price($item->price) }}</td>
                    <td>{{ $item->unit }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-cut :of="$page->items" />
@endif
