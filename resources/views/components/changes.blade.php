@props(['rows'])
{{-- What of a record of product data was changed, by whom, from what to what. --}}
@if ($rows->isNotEmpty())
<h2>Changed</h2>
<table class="list">
    <thead><tr><th>When</th><th>What</th><th>Who</th></tr></thead>
    <tbody>
    @foreach ($rows as $change)
        <tr>
            <td class="tight"><a href="{{ route('bookings.show', $change->booking) }}">{{ $change->when }}</a></td>
            <td>{{ $print->change($change->field, $change->before, $change->after) }}</td>
            <td class="cut">{{ $change->person }}</td>
        </tr>
    @endforeach
    </tbody>
</table>
@endif
