<x-layout :title="ucfirst($kind->value)" :keys="['n' => 'new '.$kind->label()]">
    <div class="head">
        <h1>{{ ucfirst($kind->value) }}</h1>
        <span class="say">
            {{ $print->count($list->count, $kind->label(), $kind->value, 'none') }}
        </span>
        <span class="ms-auto"></span>
        @can($kind->right()->value)
            <a class="btn btn-act" href="{{ route($kind->value.'.create') }}" data-new>New {{ $kind->label() }}</a>
        @endcan
    </div>
    <form class="filters" action="{{ route($kind->value.'.index') }}">
        <x-field name="text" label="Any words of it" :value="$filter->text" size="22" />
        <x-choice name="only" label="Which" :options="$filter::ONLY" :value="$filter->only" data-send />
        <button class="btn btn-quiet" data-keep>Narrow</button>
    </form>
    @if ($list->rows->isEmpty())
        <div class="none">No {{ $kind->label() }} is {{ $filter->isAny() ? 'entered yet' : 'like this' }}.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>{{ ucfirst($kind->label()) }}</th>
                    <th></th>
                    <th>Asked for first</th>
                    <th class="w1">Where</th>
                    @if ($kind->hasItems())<th class="n">Items</th>@endif
                    <th class="n">Lines open</th>
                    <th class="n">Past their day</th>
                    <th>First</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($list->rows as $partner)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route($kind->value.'.show', $partner->id) }}">
                                {{ $partner->number }}</a>
                        </td>
                        <td class="cut">
                            {{ $partner->name }}
                            @if ($partner->isRetired)<span class="tag held">retired</span>@endif
                        </td>
                        <td class="cut">{{ $partner->contact }} <span class="sub">{{ $partner->reached }}</span></td>
                        <td class="cut w1">{{ $partner->address }}</td>
                        @if ($kind->hasItems())<td class="n">{{ $print->some($partner->items) }}</td>@endif
                        <td class="n">{{ $print->some($partner->open) }}</td>
                        <td @class(['n', 'behind notched' => $partner->late > 0])>
                            {{ $print->some($partner->late) }}
                        </td>
                        <td class="tight">{{ $partner->next === null ? '' : $print->day($partner->next) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$list" />
    @endif
</x-layout>
