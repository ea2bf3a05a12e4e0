<x-layout :title="$page->line->line().': the chain'" data-plan>
    <div class="head">
        <h1>
            <a href="{{ route('customer-orders.show', $page->line->customerOrderId) }}">{{ $page->line->line() }}</a>
            · {{ $print->amount($page->line->quantity) }} {{ $page->line->unit }} {{ $page->line->item }}
        </h1>
        <span class="say">{{ $page->says() }}</span>
    </div>
    <div class="wide">
        <table class="list">
            <thead>
                <tr>
                    <th>What</th>
                    <th>Who</th>
                    <th class="n">Through</th>
                    <th>Where</th>
                    <th>By</th>
                    <th>Next</th>
                </tr>
            </thead>
            @foreach ($page->groups as $group)
                <tbody>
                    <tr class="order-head">
                        <td colspan="6">
                            @if ($group->address)
                                <a href="{{ $group->address }}">{{ $group->title }}</a>
                            @else
                                {{ $group->title }}
                            @endif
                            <span class="sub">{{ $group->says }}</span>
                        </td>
                    </tr>
                    @foreach ($group->rows as $row)
                        <tr @class(['past' => $row->isDone])>
                            <td>{{ $row->what }}</td>
                            <td @class(['outside' => $row->isOutside])>{{ $row->who }}</td>
                            <td class="n text-nowrap">{{ $row->pieces }}</td>
                            <td>{{ $row->where }}</td>
                            <td @class(['tight', 'behind notched' => $row->isLate])>{{ $row->day }}</td>
                            <td>
                                @if ($row->address && $row->next !== '')
                                    <a href="{{ $row->address }}">{{ $row->next }}</a>
                                @else
                                    <span class="sub">{{ $row->next }}</span>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            @endforeach
        </table>
    </div>
</x-layout>
