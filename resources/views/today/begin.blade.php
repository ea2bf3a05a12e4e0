<x-layout title="Today">
    @include('today.first-things')
</x-layout>
