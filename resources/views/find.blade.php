<x-layout title="Find">
    <div class="head">
        <h1>“{{ $text }}”</h1>
        <span class="say">
            @if ($found->isEmpty())
                Nothing has this number or name. Check the scan, or type part of the name.
            @else
                {{ $found->count() }} found.
            @endif
        </span>
    </div>
    @if ($found->isNotEmpty())
        <table class="list">
            <thead>
                <tr>
                    <th>What</th>
                    <th>Which</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($found as $row)
                    <tr>
                        <td class="tight sub">{{ $row->what }}</td>
                        <td><a href="{{ $row->url }}">{{ $row->label }}</a></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
