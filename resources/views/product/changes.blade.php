<x-layout title="Changes">
    <div class="head">
        <h1>Changes</h1>
        <span class="say">What was changed of product data and settings, by page or by file, newest first.</span>
    </div>
    <form class="filters" action="{{ route('changes.index') }}">
        <x-field name="text" label="Of what, which field, by whom" :value="$list->text" size="26" />
        <x-choice name="kind" label="Kind" :options="$list::KINDS" :value="$list->kind" data-send />
        <button class="btn btn-quiet" data-keep>Narrow</button>
    </form>
    @if ($list->changes->rows->isEmpty())
        <div class="none">Nothing was changed that is like this.</div>
    @else
        <table class="list">
            <thead><tr><th>When</th><th>Of</th><th>What</th><th>Who</th></tr></thead>
            <tbody>
                @foreach ($list->changes->rows as $change)
                    <tr>
                        <td class="tight">
                            <a href="{{ route('bookings.show', $change->booking) }}">{{ $change->when }}</a>
                        </td>
                        <td class="tight">
                            @if ($change->address())
                                <a href="{{ $change->address() }}">{{ $change->record }}</a>
                            @else
                                {{ $change->record }}
                            @endif
                        </td>
                        <td>{{ $print->change($change->field, $change->before, $change->after) }}</td>
                        <td class="cut">{{ $change->person }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$list->changes" />
    @endif
</x-layout>
