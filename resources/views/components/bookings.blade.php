@props(['rows'])
<table class="list">
    <thead><tr><th>When</th><th>Who</th><th>What</th><th></th></tr></thead>
    <tbody>
    @forelse ($rows as $row)
        <tr>
            <td class="tight" title="{{ $print->moment($row->entered_at) }}"><a href="{{ route('bookings.show', $row->id) }}">{{ $print->when($row->entered_at) }}</a></td>
            <td class="tight">{{ $row->person }}</td>
            <td>@if ($row->reversed_by)<s>{{ $print->says($row->says) }}</s> <a href="{{ route('bookings.show', $row->reversed_by) }}">reversed</a>@else{{ $print->says($row->says) }}@endif @if ($row->reason !== '' && ! str_contains($row->says, $row->reason))<span class="sub">({{ $row->reason }})</span>@endif</td>
            <td class="sub tight">{{ $print->kind($row->kind) }}</td>
        </tr>
    @empty
        <tr><td colspan="4" class="sub">Nothing booked yet.</td></tr>
    @endforelse
    </tbody>
</table>
