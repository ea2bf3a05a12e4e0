<x-layout title="Dispatch lists">
    <p class="lead">What each work centre does next, in sequence, as the live plan has it.</p>
    @if ($centres->isEmpty()) <x-no-centre /> @endif
    <div class="centres">
        @foreach ($centres as $centre)
            <a href="{{ route('dispatch.show', $centre->id) }}">
                <span class="big">{{ $centre->name }}</span><br>
                <span class="sub">{{ $print->count($centre->machines, 'machine', 'machines') }}</span>
            </a>
        @endforeach
    </div>
</x-layout>
