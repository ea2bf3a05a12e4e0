{{-- What a trial would do, line by line, and the deed itself. --}}
<x-form method="put" class="actions" :to="route('import.update', $import->id)">
    <button class="btn btn-act">Import these files now</button>
    <span class="sub">What changed meanwhile is looked at again.</span>
</x-form>
@if ($import->changes !== [])
    <h2>It would change</h2>
    <table class="list">
        <thead><tr><th>Of</th><th>What</th><th>From</th><th>To</th></tr></thead>
        <tbody>
            @foreach ($import->changes as $change)
                <tr>
                    <td class="num tight">{{ $change['record'] }}</td>
                    <td>{{ $change['field'] }}</td>
                    <td>{{ $print->field($change['field'], $change['before']) }}</td>
                    <td>{{ $print->field($change['field'], $change['after']) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($import->untoldChanges() > 0)
        <p>and {{ $import->untoldChanges() }} more.</p>
    @endif
@endif
@if ($import->new !== [])
    <h2>It would add</h2>
    <table class="list">
        <tbody>
            @foreach ($import->new as $new)
                <tr><td class="tight">{{ $new['file'] }}</td><td class="num">{{ $new['name'] }}</td></tr>
            @endforeach
        </tbody>
    </table>
@endif
