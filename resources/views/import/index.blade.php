<x-layout title="Files in and out">
    <div class="head">
        <h1>Files in and out</h1>
        <span class="say">
            CSV or JSON in UTF-8. Everything is checked first; all of it is written, or nothing. A column that is not in
            a file is left as it is.
        </span>
    </div>
    <form class="actions" method="post" action="{{ route('import.store') }}" enctype="multipart/form-data">
        @csrf
        <input class="form-control" type="file" name="files[]" multiple accept=".csv,.json" required
            aria-label="CSV or JSON files">
        <button class="btn btn-quiet" name="try" value="1">Show what they would change</button>
        <button class="btn btn-act">Import these files</button>
        <x-why field="files" />
    </form>
    <div class="two">
        <section>
            <h2>Earlier imports</h2>
            @if ($imports->isEmpty())
                <div class="none">Nothing was imported from this page yet.</div>
            @else
                <table class="list">
                    <thead>
                        <tr>
                            <th>When</th>
                            <th>Who</th>
                            <th>Files</th>
                            <th>What came of it</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($imports as $import)
                            <tr>
                                <td class="tight">
                                    <a href="{{ route('import.show', $import->id) }}">
                                        {{ $print->when($import->createdAt) }}</a>
                                </td>
                                <td class="tight">{{ $import->person }}</td>
                                <td class="cut">{{ $import->files }}</td>
                                <td>{{ $import->state }}: {{ $import->doing }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
        </section>
        <section>
            <h2>Take product data out</h2>
            <x-take-out :kinds="$kinds" />
            <h2>Files and their columns</h2>
            @foreach ($specs as $spec)
                <details class="more">
                    <summary>{{ $spec->file() }}</summary>
                    <p class="sub">
                        @foreach ($spec->columns as $column)
                            {{ $column->name }}{{ $column->default === null ? '*' : '' }}{{ $loop->last ? '' : ', ' }}
                        @endforeach
                    </p>
                </details>
            @endforeach
            <p class="sub">* must be filled. Dates: 2027-03-28, today+5, today-3wd.</p>
        </section>
    </div>
</x-layout>
