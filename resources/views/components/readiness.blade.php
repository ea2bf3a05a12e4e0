@props(['row'])
@if ($row->readiness !== null)<span class="{{ $row->readiness === 'stuck' ? 'behind notched' : ($row->readiness === 'waits' ? 'soon' : 'good') }}">{{ \App\Wording\ReadinessWords::say($row) }}</span>@endif
