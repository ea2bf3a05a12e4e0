@props(['of', 'unit' => ''])
{{ \App\Wording\Figures::amount($of) }}@if ($unit !== '') {{ $unit }}@endif
