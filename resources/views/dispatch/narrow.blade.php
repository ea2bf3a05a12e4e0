{{-- One machine or one person of a work centre. --}}
<nav class="pick mb-2" aria-label="Machine or person">
    <a href="{{ route('dispatch.show', ['centre' => $list->centre->id, 'days' => $list->days]) }}"
        @if ($list->narrowedTo() === []) aria-current="true" @endif>all</a>
    @foreach ($list->machines() as $machine)
        <a href="{{ route('dispatch.show', ['centre' => $list->centre->id, 'machine' => $machine, 'days' => $list->days]) }}"
            @if ($list->machine === $machine) aria-current="true" @endif>machine {{ $machine }}</a>
    @endforeach
    @foreach ($people as $person => $name)
        <a href="{{ route('dispatch.show', ['centre' => $list->centre->id, 'person' => $person, 'days' => $list->days]) }}"
            @if ($list->person?->id === $person) aria-current="true" @endif>{{ $name }}</a>
    @endforeach
</nav>
