<x-layout :title="$item->number.' structure '.$structure->revision"
    :keys="['Alt ↑ ↓' => 'move the line', '← →' => 'close, open a level']">
    <div class="head">
        <h1>
            <a href="{{ route('items.show', $item->id) }}">{{ $item->number }}</a> {{ $item->name }} · structure
            {{ $structure->revision }}
        </h1>
        <span class="say">
            <span @class(['soon' => $structure->isDraft()])>{{ $page->state()?->state() }}</span>,
            {{ $page->state()?->signed() }}. {{ $structure->note }}
        </span>
        <span class="ms-auto"></span>
        <nav class="pick" aria-label="Revisions">
            @foreach ($page->revisions->all as $one)
                <a href="{{ route('structures.show', $one->id) }}"
                    @if ($one->id === $structure->id) aria-current="true" @endif
                    title="{{ $one->state() }}">{{ $one->revision }}</a>
            @endforeach
        </nav>
    </div>
    @if ($structure->isDraft())
        <x-draft-deeds :draft="$structure" name="structures" :approval="$page->approval" />
    @endif
    @if ($page->waits)
        <div class="said" role="status">{{ $page->waits->says() }}</div>
    @endif
    @if ($form)
        @include('product.structure-draft')
    @endif
    @if ($page->refused)
        <div class="said not" role="alert">{{ $page->refused }}</div>
    @endif
    @if ($page->cost)
        <div class="two wide">
            <section>
                <form class="filters">
                    <x-field name="pieces" label="For how many" class="n" :value="$print->amount($page->cost->pieces)"
                        inputmode="decimal" />
                    <button class="btn btn-quiet">Reckon</button>
                    <a href="{{ $page->paper() }}">On paper</a>
                    @if ($page->isCut)
                        <span class="sub">The first {{ $page->levels }} levels: all would be too many lines.
                            Go into a part to see deeper.</span>
                    @endif
                </form>
                @include('product.structure-rows')
                @if ($page->given !== [])
                    @include('product.structure-back')
                @endif
            </section>
            <section>
                <h2 class="mt-0">What it costs</h2>
                <x-rolled :cost="$page->cost" :unit="$item->unit->code" />
                @include('product.begin')
            </section>
        </div>
    @endif
    @if ($beside !== null)
        <x-beside :rows="$beside" :other="$other" />
    @endif
    <x-changes :rows="$page->changes" />
</x-layout>
