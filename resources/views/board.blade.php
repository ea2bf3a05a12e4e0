@php($left = 186) @php($width = 1064) @php($rowHeight = 24) @php($perMinute = $width / ($board->to - $board->from))
@php($orderUrl = substr(route('orders.show', 0), 0, -1))
@php($x = fn (int $minute): float => round($left + (max($board->from, min($board->to, $minute)) - $board->from) * $perMinute, 1))
@php($lanes = $board->rows->sum(fn ($row) => max(1, $row->machines)) + max(1, min(8, $board->outside->count())))
@php($height = 34 + $lanes * $rowHeight + count($board->rows) * 8 + 12)
<x-layout title="Board">
    <div class="head"><h1>Board</h1>
        <nav class="pick" aria-label="Zoom">@foreach ([2 => '2 days', 5 => '5 days', 10 => '10 days', 21 => '3 weeks'] as $n => $word)<a href="{{ route('board', array_filter(['days' => $n, 'from' => $from->toDateString(), 'late' => $late, 'order' => $order])) }}" @if ($days === $n) aria-current="true" @endif>{{ $word }}</a>@endforeach</nav>
        <nav class="pick"><a href="{{ route('board', array_filter(['days' => $days, 'from' => $from->subDays($days)->toDateString(), 'late' => $late])) }}">earlier</a><a href="{{ route('board', array_filter(['days' => $days, 'late' => $late])) }}">today</a><a href="{{ route('board', array_filter(['days' => $days, 'from' => $from->addDays($days)->toDateString(), 'late' => $late])) }}">later</a></nav>
        <form class="d-flex gap-2 align-items-center"><input type="hidden" name="days" value="{{ $days }}"><input type="hidden" name="from" value="{{ $from->toDateString() }}"><input class="form-control" name="order" value="{{ $order }}" placeholder="order" size="7" aria-label="Find an order on the board"><label class="d-inline"><input type="checkbox" name="late" value="1" @checked($late) data-send> only late</label></form>
        @can('plan')<form method="post" action="{{ route('board.by-rank') }}" class="ms-auto">@csrf @token<button class="btn btn-plain" title="Gives up the sequence of every machine">Load anew by rank</button></form>@endcan
        <span class="say">Brought up to date {{ $board->plan?->computed_at ? \App\Wording\When::say($board->plan->computed_at) : 'never' }}</span>
    </div>
    <div class="board">
        <svg viewBox="0 0 {{ $left + $width + 10 }} {{ $height }}" width="100%" role="group" aria-labelledby="board-title">
            <title id="board-title">The plan from {{ $from->format('D j M') }} for {{ $days }} days; the same is listed below.</title>
            <defs><pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="6" height="6" fill="#efe6d4"/><line x1="0" y1="0" x2="0" y2="6" stroke="#ddd0b8" stroke-width="2"/></pattern></defs>
            @php($y = 30)
            @foreach ($board->rows as $centre)
                @php($n = max(1, $centre->machines))
                <text x="4" y="{{ $y + 16 }}" font-weight="600">{{ $centre->name }}</text><text x="{{ $left - 8 }}" y="{{ $y + 16 }}" text-anchor="end" fill="#4b5562">{{ $centre->load }} %</text>
                <rect class="closed" x="{{ $left }}" y="{{ $y }}" width="{{ $width }}" height="{{ $n * $rowHeight }}"/>
                @foreach ($centre->open->starts as $i => $start)<rect fill="#fbf8f1" x="{{ $x($start) }}" y="{{ $y }}" width="{{ max(0.1, $x($centre->open->ends[$i]) - $x($start)) }}" height="{{ $n * $rowHeight }}"/>@endforeach
                @foreach ($centre->bars as $machine => $bars) @foreach ($bars as $bar)
                    @php($from = $x($bar->from)) @php($w = max(2, round($x($bar->to) - $from, 1))) @php($top = $y + ($machine - 1) * $rowHeight)
                    <a href="{{ $orderUrl.$bar->order_id }}" @class(['dim' => ($late && ! $bar->late) || ($order !== '' && $bar->order_number !== $order)])><title>{{ $bar->title }}</title><rect class="{{ $bar->class }}" x="{{ $from }}" y="{{ $top + 2 }}" width="{{ $w }}" height="19" rx="1"/>@if ($w > 24)<text x="{{ $from + 4 }}" y="{{ $top + 16 }}">{{ mb_substr($bar->order_number.($w > 90 ? ' '.$bar->name : ''), 0, max(3, (int) ($w / 6.2))) }}</text>@endif @if ($bar->late)<path class="notch" d="M{{ $from }} {{ $top + 2 }}h7l-7 7z"/>@endif</a>
                @endforeach @endforeach
                @php($y += $n * $rowHeight + 4)
                <line class="grid" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}" y2="{{ $y }}"/>
                @php($y += 4)
            @endforeach
            <text x="4" y="{{ $y + 16 }}" font-weight="600">At suppliers</text>
            @foreach ($board->outside->take(8) as $i => $bar)
                @php($from = $x($bar->from))
                <a href="{{ $orderUrl.$bar->order_id }}" @class(['dim' => ($late && ! $bar->late) || ($order !== '' && $bar->order_number !== $order)])><title>{{ $bar->title }}</title>
                <rect class="bar-out" x="{{ $from }}" y="{{ $y + $i * $rowHeight + 2 }}" width="{{ max(2, $x($bar->to) - $from) }}" height="19"/><text x="{{ $from + 4 }}" y="{{ $y + $i * $rowHeight + 16 }}">{{ $bar->order_number }} {{ $bar->supplier }}@if ($bar->overdue) <tspan class="overdue">◣ overdue</tspan>@endif</text></a>
            @endforeach
            @foreach ($board->days() as $day)
                @php($at = $x(intdiv($day->getTimestamp(), 60)))
                <line class="day" x1="{{ $at }}" x2="{{ $at }}" y1="6" y2="{{ $height - 8 }}" stroke-opacity=".45"/><text x="{{ $at + 4 }}" y="20" font-weight="600">{{ $day->format($days > 10 ? 'j M' : 'D j M') }}</text>
            @endforeach
            @if ($board->now >= $board->from && $board->now <= $board->to)<line class="now" x1="{{ $x($board->now) }}" x2="{{ $x($board->now) }}" y1="22" y2="{{ $height - 8 }}"/><text x="{{ $x($board->now) + 3 }}" y="{{ $height - 2 }}" fill="#96431f">now</text>@endif
        </svg>
    </div>
    <p class="sub mt-1">Filled: running. Tinted: released. White: firm. Notched copper: will miss its date. Dashed: at a supplier. Hatched: closed.</p>
    <details class="more"><summary>The same as a list</summary>
        <div hx-get="{{ request()->fullUrlWithQuery(['as' => 'list']) }}" hx-trigger="toggle from:closest details once"><a href="{{ request()->fullUrlWithQuery(['as' => 'list']) }}">The list</a></div>
    </details>
</x-layout>
