@props(['of'])
{{-- That a list is not shown whole. --}}
@if ($of->says() !== '')<p class="sub cut-says">{{ ucfirst($of->says()) }}. Narrow it down to see the others.</p>@endif
