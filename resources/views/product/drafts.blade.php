<x-layout title="Drafts">
    <div class="head">
        <h1>Drafts</h1>
        <span class="say">
            {{ $print->count($drafts->count, 'draft waits', 'drafts wait', 'No draft waits') }} to be approved.
        </span>
    </div>
    @if ($drafts->rows->isEmpty())
        <div class="none">Nothing is being changed. A draft is begun on the page of its item.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Item</th>
                    <th></th>
                    <th>Draft</th>
                    <th class="n">Lines</th>
                    <th>Why</th>
                    <th>Last changed</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($drafts->rows as $draft)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('items.show', $draft->itemId) }}">{{ $draft->number }}</a>
                        </td>
                        <td class="cut">{{ $draft->name }}</td>
                        <td class="tight">
                            @if ($draft->isStructure)
                                <a href="{{ route('structures.show', $draft->id) }}">structure
                                    {{ $draft->revision }}</a>
                            @else
                                <a href="{{ route('routings.show', $draft->id) }}">routing {{ $draft->revision }}</a>
                            @endif
                        </td>
                        <td class="n">{{ $draft->lines }}</td>
                        <td class="cut">{{ $draft->note }}</td>
                        <td>{{ $draft->changed() }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$drafts" />
    @endif
</x-layout>
