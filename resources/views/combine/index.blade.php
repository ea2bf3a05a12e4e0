<x-layout title="Combine">
    <div class="head">
        <h1>Combine</h1>
        <span class="say">
            @if ($list->groups === [])
                Nothing that has not begun is wanted twice.
            @else
                What is wanted more than once and has not begun: tick what one order makes.
            @endif
        </span>
    </div>
    @foreach ($list->groups as $item => $rows)
        <x-form :to="route('combine.store')" :key="'combine-'.$item">
            <h2>{{ $list->name($item) }}</h2>
            @foreach ($list->says($item) as $says)
                <div class="said note" role="status">{{ $says }}</div>
            @endforeach
            <table class="list even">
                <thead>
                    <tr>
                        <th class="narrow"></th>
                        <th>What</th>
                        <th>For</th>
                        <th class="n middle">Quantity</th>
                        <th class="narrow">Unit</th>
                        <th class="middle">Due</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr>
                            <td class="tight">
                                <input type="checkbox" name="{{ $row->name() }}" value="{{ $row->id }}"
                                    aria-label="{{ $row->label }}">
                            </td>
                            <td>
                                <a href="{{ $row->url() }}">{{ $row->label }}</a>
                                @if ($row->itemId !== $item)
                                    <span class="sub">{{ $row->item }}, comes with it</span>
                                @endif
                            </td>
                            <td class="cut">{{ $row->forWhom }}</td>
                            <td class="n">{{ $print->amount($row->quantity) }}</td>
                            <td>{{ $row->unit }}</td>
                            <td class="tight">{{ $print->day($row->dueOn) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @can('change-order')
                <div class="actions"><button class="btn btn-act">Make one order of these</button></div>
            @endcan
        </x-form>
    @endforeach
</x-layout>
