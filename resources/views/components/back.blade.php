@props(['handfuls', 'unit' => ''])
{{-- When pieces at a supplier are due back, each handful by itself. --}}
@forelse ($handfuls as $handful)
    <div @class(['behind notched' => $handful->back->isLate()])>
        @if (count($handfuls) > 1)
            {{ $print->amount($handful->away) }} {{ $unit }}:
        @endif
        {{ $print->arrival($handful->back) }}
    </div>
@empty
    –
@endforelse
