@props(['rows'])
<table class="list">
    <thead>
        <tr>
            <th>When</th>
            <th>Who</th>
            <th>What</th>
            <th></th>
        </tr>
    </thead>
    <tbody>
        @forelse ($rows as $row)
            <tr>
                <td class="tight" title="{{ $print->moment($row->enteredAt) }}">
                    <a href="{{ route('bookings.show', $row->id) }}">{{ $print->exact($row->enteredAt) }}</a>
                </td>
                <td class="tight">{{ $row->person }}</td>
                <td>
                    @if ($row->reversedBy)
                        <s>{{ $print->says($row->says) }}</s>
                        <a href="{{ route('bookings.show', $row->reversedBy) }}">reversed</a>
                    @else
                        {{ $print->says($row->says) }}
                    @endif
                    @if ($row->reasonBeside() !== '')
                        <span class="sub">({{ $row->reasonBeside() }})</span>
                    @endif
                </td>
                <td class="sub tight">{{ $print->kind($row->kind) }}</td>
            </tr>
        @empty
            <tr>
                <td colspan="4" class="sub">Nothing booked yet.</td>
            </tr>
        @endforelse
    </tbody>
</table>
