@props(['row'])
@if ($row->readiness !== null)@php($says = \App\Wording\ReadinessWords::say($row))<span class="{{ $row->readiness === 'stuck' ? 'behind notched' : ($row->readiness === 'waits' ? 'soon' : 'good') }}" title="{{ $says }}">{{ $says }}</span>@endif
