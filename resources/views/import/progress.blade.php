{{-- How far an import is, asked again while it runs, or what came of it. --}}
<div id="progress"
    @if ($import->isUnderWay())
        hx-get="{{ route('import.show', $import->id) }}" hx-trigger="load delay:600ms" hx-swap="outerHTML"
    @endif>
    <p class="lead">{{ $import->says() }}</p>
    @if ($import->isRunning())
        <progress max="{{ max(1, $import->linesTotal) }}" value="{{ $import->linesDone }}" style="width:24rem"
            aria-label="Lines read"></progress>
        {{ $import->linesDone }} of {{ $import->linesTotal }} lines
    @endif
    @if ($import->problems !== [])
        <table class="list">
            <thead>
                <tr>
                    <th>File</th>
                    <th class="n">Line</th>
                    <th>Column</th>
                    <th>What would be right</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($import->problems as $problem)
                    <tr>
                        <td class="tight">{{ $problem['file'] }}</td>
                        <td class="n">{{ $problem['line'] ?: '' }}</td>
                        <td class="tight">{{ $problem['column'] }}</td>
                        <td>{{ $problem['says'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($import->untold() > 0)
            <p>and {{ $import->untold() }} more.</p>
        @endif
    @endif
    @if ($import->canBeDone())
        @include('import.would')
    @endif
    @if ($import->result !== [])
        <table class="list">
            <thead>
                <tr>
                    <th>File</th>
                    <th class="n">New</th>
                    <th class="n">Changed</th>
                    <th class="n">As before</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($import->result as $file => $counts)
                    <tr>
                        <td>{{ $file }}.csv</td>
                        <td class="n">{{ $counts['new'] }}</td>
                        <td class="n">{{ $counts['changed'] }}</td>
                        <td class="n">{{ $counts['same'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</div>
