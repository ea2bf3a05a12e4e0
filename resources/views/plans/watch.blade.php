<x-layout title="Search">
    <div class="head">
        <h1>Search</h1>
        <a href="{{ route('plans.index') }}">all plans</a>
        <a href="{{ route('board') }}">live board</a>
    </div>
    @include('plans.watched')
</x-layout>
