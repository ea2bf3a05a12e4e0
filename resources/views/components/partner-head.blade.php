@props(['kind', 'partner'])
{{-- Who a customer or supplier is, and what can be done with them. --}}
<div class="head">
    <h1>{{ $partner->number }} · {{ $partner->name }}</h1>
    <span class="say">{{ $slot }}</span>
    @if ($partner->retired_at)<span class="tag held">retired {{ $print->day($partner->retired_at) }}</span>@endif
    <span class="ms-auto"></span>
    @can($kind->right()->value)
        <a class="btn btn-act" href="{{ route($kind->value.'.edit', $partner->id) }}" data-new>Change</a>
    @endcan
    <a href="{{ route($kind->value.'.index') }}">All {{ $kind->value }}</a>
</div>
@if ($partner->note !== '')<p class="written">{{ $partner->note }}</p>@endif
