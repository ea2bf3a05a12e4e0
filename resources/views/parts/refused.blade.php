@php($all = collect($errors->all())->unique())
@if ($all->count() === 1)<span>{{ $all->first() }}</span>@else<div><strong>Not done, and nothing was booked:</strong><ul>@foreach ($all->take(12) as $message)<li>{{ $message }}</li>@endforeach @if ($all->count() > 12)<li>and {{ $all->count() - 12 }} more</li>@endif</ul></div>@endif
