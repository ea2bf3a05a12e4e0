<x-layout title="Claims">
    <div class="head">
        <h1>Claims</h1>
        <span class="say">
            What suppliers are to make good: pieces spoiled or lost there, at what they had cost so far. A claim is no
            income until it is granted.
        </span>
        <a class="ms-auto" href="{{ route('at-suppliers.index') }}">At suppliers</a>
    </div>
    @if ($claims->rows->isEmpty())
        <div class="none">Nothing is claimed.</div>
    @else
        @include('outside.claim-rows', ['rows' => $claims->rows])
        <x-cut :of="$claims" />
    @endif
</x-layout>
