<x-layout title="Import">
    <div class="head">
        <h1>Import</h1>
        <span class="say">{{ $import->files }}</span>
    </div>
    @include('import.progress')
    <p class="mt-3"><a href="{{ route('import.index') }}">Import other files</a></p>
</x-layout>
