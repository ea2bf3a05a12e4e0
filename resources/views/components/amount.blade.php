@props(['of', 'unit' => ''])
{{ $print->amount($of) }}@if ($unit !== '') {{ $unit }}@endif
