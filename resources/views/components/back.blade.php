@props(['step'])
{{-- When pieces at a supplier are due back. --}}
@if ($step->due_back === null)–@elseif (\App\Wording\When::local($step->due_back)->isPast())<span class="behind notched">was due {{ \App\Wording\When::day($step->due_back) }}</span>@else{{ \App\Wording\When::day($step->due_back) }}@endif
