<x-layout title="Items" :keys="['n' => 'new item']">
    <div class="head">
        <h1>Items</h1>
        <span class="say">
            {{ $print->count($items->count, 'item', 'items', 'none') }}{{
                $items->says() === '' ? '' : ", {$items->says()}" }}
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('drafts.index') }}">Drafts</a>
        @can('change-items')
            <a class="btn btn-act" href="{{ route('items.create') }}" data-new>New item</a>
        @endcan
    </div>
    <form class="filters" action="{{ route('items.index') }}">
        <x-field name="text" label="Any words of it" :value="$filter->text" size="22" />
        <x-choice name="kind" label="Kind" :options="$filter->kinds()" :value="$filter->kind" data-send />
        <x-choice name="category" label="Category" :options="$categories" :value="$filter->category" data-send />
        <x-choice name="only" label="Which" :options="$filter::ONLY" :value="$filter->only" data-send />
        <button class="btn btn-quiet" data-keep>Narrow</button> <a href="{{ route('items.index') }}">All in use</a>
    </form>
    @if ($items->rows->isEmpty())
        <div class="none">No item is {{ $filter->isAny() ? 'entered yet' : 'like this' }}.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Item</th>
                    <th></th>
                    <th>Kind</th>
                    <th class="w2">Category</th>
                    <th>Comes from</th>
                    <th class="n">On hand</th>
                    <th>Unit</th>
                    <th class="n w1">Cost €</th>
                    <th class="n w1">Price €</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($items->rows as $item)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('items.show', $item->id) }}">{{ $item->number }}</a>
                        </td>
                        <td class="cut">
                            {{ $item->name }}
                            @if ($item->hasDraft())<span class="tag soon">draft</span>@endif
                            @if ($item->isRunningOut)<span class="tag">running out</span>@endif
                            @if ($item->isRetired)<span class="tag held">retired</span>@endif
                        </td>
                        <td class="tight">{{ $item->kind->label() }}</td>
                        <td class="cut w2">{{ $item->category }}</td>
                        <td @class(['cut', 'behind notched' => $item->lacksMaking()])>{{ $item->comesFrom() }}</td>
                        <td class="n">{{ $print->some($item->onHand) }}</td>
                        <td>{{ $item->unit }}</td>
                        <td class="n w1">{{ $item->cost->isZero() ? '' : $print->price($item->cost) }}</td>
                        <td class="n w1">{{ $item->price->isZero() ? '' : $print->price($item->price) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$items" />
    @endif
</x-layout>
