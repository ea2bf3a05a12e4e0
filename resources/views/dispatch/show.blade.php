<x-layout :title="'Dispatch list '.$list->title()">
    <div class="head"><h1>{{ $list->title() }}</h1><span class="say">{{ $list->rows->count() === 1 ? '1 step' : $list->rows->count().' steps' }}, {{ $list->rows->filter(fn ($row) => $row->ready === 'can start')->count() }} can start now.</span>
        <nav class="pick" aria-label="How far ahead">@foreach ([1 => 'a day', 2 => '2 days', 7 => 'a week', 30 => 'a month'] as $n => $word)<a href="{{ route('dispatch.show', [$list->centre->id, ...$of, 'days' => $n]) }}" @if ($days === $n) aria-current="true" @endif>{{ $word }}</a>@endforeach</nav>
        <a href="{{ route('dispatch.pdf', [$list->centre->id, ...$of, 'days' => $days]) }}" target="_blank">Print</a><a href="{{ route('dispatch.csv', [$list->centre->id, ...$of, 'days' => $days]) }}">CSV</a><a href="{{ $feed }}" title="An address a calendar program can subscribe to">Calendar feed</a>
        <a class="ms-auto" href="{{ route('station.show', $list->centre->id) }}">Station</a><a href="{{ route('board') }}">Board</a><a href="{{ route('dispatch.index') }}">Other work centre</a></div>
    @if ($list->centre->machines > 1 || $people->isNotEmpty())
    <nav class="pick mb-2" aria-label="Machine or person"><a href="{{ route('dispatch.show', [$list->centre->id, 'days' => $days]) }}" @if ($of === []) aria-current="true" @endif>all</a>
        @for ($m = 1; $list->centre->machines > 1 && $m <= $list->centre->machines; $m++)<a href="{{ route('dispatch.show', [$list->centre->id, 'machine' => $m, 'days' => $days]) }}" @if ($list->machine === $m) aria-current="true" @endif>machine {{ $m }}</a>@endfor
        @foreach ($people as $one)<a href="{{ route('dispatch.show', [$list->centre->id, 'person' => $one->id, 'days' => $days]) }}" @if (($list->person->id ?? null) === $one->id) aria-current="true" @endif>{{ $one->name }}</a>@endforeach</nav>
    @endif
    @if ($list->person !== null)<p class="sub">The crew of {{ $list->centre->name }} takes these steps together; who is free first takes the next.</p>@endif
    @if ($list->rows->isEmpty())<p class="none">Nothing is planned here in this time.</p>@else
    <table class="list"><thead><tr>@if ($list->machine === null && $list->centre->machines > 1)<th class="n">Machine</th>@endif<th>Start</th><th>Run from</th><th>End</th><th>Order</th><th>Step</th><th>Item</th><th class="n">Pieces</th><th class="w1">Family</th><th>Ready</th><th class="w2">Papers</th><th>Pace</th></tr></thead><tbody>
    @foreach ($list->rows as $row)
        <tr>@if ($list->machine === null && $list->centre->machines > 1)<td class="n">{{ $row->machine }}</td>@endif<td class="tight">{{ $print->when($row->start_at) }}</td><td class="tight sub">{{ $row->run_at !== $row->start_at ? $print->local($row->run_at)->format('H:i') : '' }}</td><td class="tight">{{ $print->when($row->end_at) }}</td>
            <td><a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order }}</a></td><td>{{ $row->number }} {{ $row->name }}</td><td class="cut">{{ $row->item_name }}</td><td class="n">{{ $print->amount($row->quantity) }}</td><td class="w1">{{ $row->family }}</td>
            <td class="tight {{ ['running' => 'good', 'can start' => 'good', 'parts not ordered' => 'behind', 'parts are coming' => 'soon'][$row->ready] ?? '' }}">{{ $row->ready }}</td><td class="w2 sub">{{ $row->papers }}</td><td class="tight"><x-late :minutes="$row->late_minutes" /></td></tr>
    @endforeach
    </tbody></table>@endif
    <x-cut :of="$list->cut" />
</x-layout>
