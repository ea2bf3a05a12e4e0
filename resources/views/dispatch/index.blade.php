<x-layout title="Dispatch lists">
    <p class="lead">What each work centre does next, in sequence, as the live plan has it.</p>
    <div class="centres">@foreach ($centres as $centre)<a href="{{ route('dispatch.show', $centre->id) }}"><span class="big">{{ $centre->name }}</span><br><span class="sub">{{ $centre->machines === 1 ? '1 machine' : "{$centre->machines} machines" }}</span></a>@endforeach</div>
</x-layout>
