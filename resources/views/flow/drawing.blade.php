{{-- The running balance as a line, with the safety level and nothing. --}}
<svg class="flow" viewBox="0 0 1130 170" role="img" aria-labelledby="flow-title">
    <title id="flow-title">What is there of {{ $page->item->number }}, up to now and from now on</title>
    <line class="grid" x1="56" x2="1040" y1="{{ $drawing->nothing }}" y2="{{ $drawing->nothing }}"/>
    @if ($drawing->safety !== null)
        <line class="safety" x1="56" x2="1040" y1="{{ $drawing->safety }}" y2="{{ $drawing->safety }}"/>
        <text class="label" x="1046" y="{{ $drawing->safety }}" dy="4">safety level</text>
    @endif
    <line class="now" x1="{{ $drawing->now }}" x2="{{ $drawing->now }}" y1="8" y2="150"/>
    <polyline class="past" points="{{ $drawing->past }}"/>
    <polyline class="coming" points="{{ $drawing->coming }}"/>
    @foreach ($drawing->levels as [$y, $label])
        <text class="label" x="50" y="{{ $y }}" dy="4" text-anchor="end">{{ $label }}</text>
    @endforeach
    @foreach ($drawing->days as [$x, $label, $anchor])
        <text class="label" x="{{ $x }}" y="166" text-anchor="{{ $anchor }}">{{ $label }}</text>
    @endforeach
</svg>
