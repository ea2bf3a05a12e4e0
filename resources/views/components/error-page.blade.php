@props(['title', 'says' => null])
<x-layout :title="$title">
    <div class="head">
        <h1>{{ $title }}</h1>
    </div>
    <p>{{ $says ?: 'Go back, or find what you need with the box above.' }}</p>
    <p><a href="/">Today</a></p>
</x-layout>
