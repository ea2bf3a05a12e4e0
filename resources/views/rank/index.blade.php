<x-layout title="Rank" :keys="['Alt ↑ ↓' => 'the order of the row up or down, then Enter to see what it would do']">
    <div class="head">
        <h1>Rank</h1>
        <span class="say">
            Who stands higher gets scarce parts and the machine first. Drag a row, or use its arrows: what it would do
            is said before it is kept.
        </span>
    </div>
    @if ($effect !== null)
        <x-rank-effect :of="$effect" />
    @endif
    @if ($rows === [])
        <div class="none">No order is open.</div>
    @endif
    @can('rank')
        <form method="post" action="{{ route('rank.preview') }}" id="rank-form">
            @csrf
            @token
            @include('rank.list', ['mayRank' => true])
        </form>
    @else
        @include('rank.list', ['mayRank' => false])
    @endcan
</x-layout>
