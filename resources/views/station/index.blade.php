<x-layout title="Station" data-plan>
    <div class="head"><h1>Which station is this?</h1></div>
    <div class="centres">
        @foreach ($stations as $station)
            <a href="{{ route('station.show', $station->id) }}">
                <span class="big">{{ $station->name }}</span><br>
                <span class="sub">{{ $station->code }}, {{ $station->machinesSay() }}</span><br>
                {{ $station->says() }}
            </a>
        @endforeach
    </div>
    <h2>At suppliers</h2>
    @if ($outside->isEmpty())
        <div class="none">Nothing is outside.</div>
    @else
        <x-outside-jobs :jobs="$outside" />
    @endif
    <x-reasons for="scrap" />
</x-layout>
