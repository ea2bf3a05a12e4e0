<x-layout :title="'Dispatch list '.$list->title()" data-plan>
    <div class="head">
        <h1>{{ $list->title() }}</h1>
        <span class="say">{{ $list->says() }}</span>
        <nav class="pick" aria-label="How far ahead">
            @foreach ($list->spans() as $days => $says)
                <a href="{{ route('dispatch.show', $list->address($days)) }}"
                    @if ($list->days === $days) aria-current="true" @endif>{{ $says }}</a>
            @endforeach
        </nav>
        <a href="{{ route('dispatch.pdf', $list->address()) }}" target="_blank">Print</a>
        <a href="{{ route('dispatch.csv', $list->address()) }}">CSV</a>
        <a href="{{ $feed }}" title="An address a calendar program can subscribe to">Calendar feed</a>
        <a class="ms-auto" href="{{ route('station.show', $list->centre->id) }}">Station</a>
        <a href="{{ route('board') }}">Board</a>
        <a href="{{ route('dispatch.index') }}">Other work centre</a>
    </div>
    @if ($list->machines() !== [] || $people->isNotEmpty())
        @include('dispatch.narrow')
    @endif
    @if ($list->person !== null)
        <p class="sub">
            The crew of {{ $list->centre->name }} takes these steps together; who is free first takes the next.
        </p>
    @endif
    @if ($list->cut->rows->isEmpty())
        <p class="none">Nothing is planned here in this time.</p>
    @else
        @include('dispatch.rows')
    @endif
    <x-cut :of="$list->cut" />
</x-layout>
