@props(['rows', 'of', 'button'])
{{-- What is down, or who is away, until when and why. --}}
<table class="list">
    <thead>
        <tr><th>{{ $of }}</th><th>From</th><th>Until</th><th>Why</th><th></th></tr>
    </thead>
    <tbody>
    @foreach ($rows as $row)
        <tr>
            <td>{{ $row->name }} <span class="sub">{{ $row->of }}</span></td>
            <td class="tight">{{ $print->when($row->from) }}</td>
            <td>{{ $row->untilSays() }}</td>
            <td>{{ $row->reason }} <span class="sub">{{ $row->by }}</span></td>
            <td class="tight">
                @can('say-absent')
                    <x-form :to="route('absence.back', [$row->what, $row->id])">
                        <button class="btn btn-quiet btn-small">{{ $button }}</button>
                    </x-form>
                @endcan
            </td>
        </tr>
    @endforeach
    </tbody>
</table>
