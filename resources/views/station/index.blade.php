<x-layout title="Station" data-plan>
    <div class="head"><h1>Which station is this?</h1></div>
    @if ($stations->isEmpty()) <x-no-centre /> @endif
    <div class="centres">
        @foreach ($stations as $station)
            <a href="{{ route('station.show', $station->id) }}">
                <span class="big">{{ $station->name }}</span><br>
                <span class="sub">{{ $station->code }}, {{ $station->machinesSay() }}</span><br>
                {{ $station->says() }}
            </a>
        @endforeach
    </div>
    <p class="mt-3">
        <a class="outside" href="{{ route('at-suppliers.index') }}">
            {{ $print->count($outside, 'step is', 'steps are', 'Nothing is') }} at suppliers</a>:
        what comes back is counted there.
    </p>
</x-layout>
