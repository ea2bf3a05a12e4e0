{{-- What comes, or what goes, on one day. --}}
@if ($rows === [])
    <div class="none">{{ $none }}</div>
@else
    <table class="list">
        <thead>
            <tr><th>Who</th><th>What</th><th class="n">How much</th><th>Unit</th><th>With</th><th>Said for</th></tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td class="cut">{{ $row->partner }}</td>
                    <td>{{ $row->item }} <span class="sub text-nowrap">{{ $row->itemNumber }}</span></td>
                    <td class="n">{{ $print->amount($row->quantity) }}</td>
                    <td>{{ $row->unit }}</td>
                    <td>
                        <a href="{{ $row->to }}">{{ $row->with }}</a>
                        @if (! $row->isReady)<span class="soon">not all there</span>@endif
                    </td>
                    <td @class(['tight', 'behind notched' => $row->isBefore($list->day)])>
                        {{ $print->day($row->on) }}
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
