<svg class="week" viewBox="0 0 1060 {{ $height }}" role="img" aria-labelledby="week-title">
    <title id="week-title">{{ $title }}</title>
    @foreach ($hours as $x => $label)
        <line class="grid" x1="{{ $x }}" x2="{{ $x }}" y1="14" y2="{{ $height }}"/>
        <text class="hour" x="{{ $x }}" y="11" text-anchor="middle">{{ $label }}</text>
    @endforeach
    @foreach ($lines as $line)
        <text x="0" y="{{ $line->text }}" @class(['today' => $line->day->day->isToday()])>
            {{ $line->day->day->format('D j M') }}
        </text>
        <text class="hour" x="150" y="{{ $line->text }}" text-anchor="end">{{ $line->hours() }}</text>
        <rect class="closed" x="160" y="{{ $line->y }}" width="888" height="20"/>
        @foreach ($line->bars as [$x, $width])
            <rect class="open" x="{{ $x }}" y="{{ $line->y }}" width="{{ $width }}" height="20"/>
        @endforeach
        @if ($line->day->notes !== [])
            <text class="note" x="1044" y="{{ $line->text }}" text-anchor="end">{{ $line->notes() }}</text>
        @endif
    @endforeach
    <defs>
        <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" fill="#efe6d4"/>
            <line x1="0" y1="0" x2="0" y2="6" stroke="#ddd0b8" stroke-width="2"/>
        </pattern>
    </defs>
</svg>
