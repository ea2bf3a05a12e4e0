<x-layout :title="$centre->name" class="station" data-plan>
    <div class="head">
        <h1>{{ $centre->name }}</h1>
        <span class="say">{{ $queue->says() }}</span>
        <a class="ms-auto" href="{{ route('dispatch.show', $centre->id) }}">Dispatch list</a>
        @can('say-absent')
            <a href="{{ route('absence.index', ['centre' => $centre->id]) }}">Machine down</a>
        @endcan
        <a href="{{ route('station.index') }}">Other station</a>
    </div>
    @forelse ($queue->here as $job)
        <x-station-job :job="$job" :clock="$queue->clock($job)" :first="$loop->first"
            :drawings="$queue->drawings($job)" />
    @empty
        <div class="none">Nothing stands at this station. What is on the way is listed below.</div>
    @endforelse
    @if ($queue->coming->isNotEmpty())
        <x-on-the-way :queue="$queue" />
    @endif
    <x-cut :of="$queue->all" />
    <x-reasons for="scrap" />
</x-layout>
