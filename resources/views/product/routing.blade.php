<x-layout :title="$item->number.' routing '.$routing->revision" :keys="['Alt ↑ ↓' => 'move the step']">
    <div class="head">
        <h1>
            <a href="{{ route('items.show', $item->id) }}">{{ $item->number }}</a> {{ $item->name }} · routing
            {{ $routing->revision }}
        </h1>
        <span class="say">
            <span @class(['soon' => $routing->isDraft()])>{{ $page->state()?->state() }}</span>,
            {{ $page->state()?->signed() }}. {{ $routing->note }}
        </span>
        <span class="ms-auto"></span>
        <nav class="pick" aria-label="Revisions">
            @foreach ($page->revisions->all as $one)
                <a href="{{ route('routings.show', $one->id) }}"
                    @if ($one->id === $routing->id) aria-current="true" @endif
                    title="{{ $one->state() }}">{{ $one->revision }}</a>
            @endforeach
        </nav>
    </div>
    @if ($routing->isDraft())
        <x-draft-deeds :draft="$routing" name="routings" :approval="$page->approval" />
    @endif
    @if ($form)
        @include('product.routing-draft')
    @endif
    <div class="two wide">
        <section>
            <form class="filters">
                <x-field name="pieces" label="For how many" class="n" :value="$print->amount($page->pieces)"
                    inputmode="decimal" />
                <button class="btn btn-quiet">Reckon</button>
            </form>
            @if ($page->refused)
                <div class="said not" role="alert">{{ $page->refused }}</div>
            @elseif ($page->rows->isEmpty())
                <div class="none">It has no step yet.</div>
            @else
                @include('product.routing-rows')
            @endif
        </section>
        <section>
            @if (! $page->refused && $page->rows->isNotEmpty())
                <h2 class="mt-0">What the work costs</h2>
                <x-rolled work :cost="$page->cost()" :unit="$item->unit->code" />
            @endif
            <x-files :files="$page->instructions" :on="$page::FILES" :id="$item->id" usual="instruction" />
            @include('product.begin')
        </section>
    </div>
    @if ($beside !== null)
        <x-beside :rows="$beside" :other="$other" />
    @endif
    <x-changes :rows="$page->changes" />
</x-layout>
