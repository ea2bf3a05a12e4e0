{{-- One machine or one person of a work centre. --}}
<nav class="pick mb-2" aria-label="Machine or person">
    <a href="{{ route('dispatch.show', $list->ofAll()) }}"
        @if ($list->narrowedTo() === []) aria-current="true" @endif>all</a>
    @foreach ($list->machines() as $machine)
        <a href="{{ route('dispatch.show', $list->ofMachine($machine)) }}"
            @if ($list->machine === $machine) aria-current="true" @endif>machine {{ $machine }}</a>
    @endforeach
    @foreach ($people as $person => $name)
        <a href="{{ route('dispatch.show', $list->ofPerson($person)) }}"
            @if ($list->person?->id === $person) aria-current="true" @endif>{{ $name }}</a>
    @endforeach
</nav>
