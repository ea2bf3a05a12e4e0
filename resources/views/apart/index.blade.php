<x-layout title="Take apart">
    <div class="head">
        <h1>Take apart</h1>
        <span class="say">A finished unit goes in, its parts come out, each at its share of what it was worth.</span>
    </div>
    <form class="filters" action="{{ route('apart.index') }}">
        <datalist id="items" hx-get="{{ route('items.choose') }}?q=" hx-trigger="load"></datalist>
        <x-field name="item" label="Unit" list="items" :value="$number" size="24" maxlength="60"
            placeholder="number, or part of a name" />
        <button class="btn btn-quiet align-self-end">Show what is there</button>
    </form>
    @if ($page === null && $number !== '')
        <div class="none">No item has the number {{ $number }}. Type part of its name to find it.</div>
    @elseif ($page !== null && $page->units->isEmpty())
        <div class="none">No {{ $page->item->label() }} lies free.</div>
    @elseif ($page !== null)
        <h2>{{ $page->item->label() }}</h2>
        @can('build')
            @include('apart.form')
        @endcan
    @endif
</x-layout>
