<x-layout :title="$item->number" :keys="['n' => 'change it']">
    <div class="head">
        <h1>{{ $item->number }} · {{ $item->name }}</h1>
        <span class="say">
            {{ $item->kind->label() }}
            @if ($item->kind->hasStock())
            · <x-amount :of="$page->position->free" /> free + <x-amount :of="$page->position->coming" /> coming −
            <x-amount :of="$page->position->promised" /> promised =
            <strong @class(['behind' => $page->position->isLow()])>
                <x-amount :of="$page->position->position()" /> {{ $item->unit->code }}
            </strong>
            @endif
        </span>
        @if ($item->is_running_out)<span class="tag">running out</span>@endif
        @if ($item->retired_at)<span class="tag held">retired {{ $print->day($item->retired_at) }}</span>@endif
        <span class="ms-auto"></span>
        <a href="{{ route('stock.show', $item->id) }}">On hand and movements</a>
        <a href="{{ route('flow.show', $item->id) }}">Coming and going</a>
        @can('change-items')
            <a class="btn btn-act" href="{{ route('items.edit', $item->id) }}" data-new>Change</a>
            <a href="{{ route('items.create', ['like' => $item->id]) }}">New one like it</a>
        @endcan
    </div>
    <div class="two wide">
        <section>
            @if ($item->kind->hasStructure())
                <x-revisions :list="$page->structures" :item="$item" name="structures" title="Made of" />
            @endif
            @if ($item->isMade())
                <x-revisions :list="$page->routings" :item="$item" name="routings" title="Made by" />
            @endif
            <h2 @class(['mt-0' => ! $item->kind->hasStructure()])>Used in</h2>
            @include('product.used-in')
            @if ($page->sources->isNotEmpty())
                <h2>Sold by</h2>
                @include('product.sources')
            @endif
            <h2>Coming from orders</h2>
            @include('product.item-orders')
            <x-changes :rows="$page->changes" />
        </section>
        <section>
            <x-files :files="$page->files" :on="$page::FILES" :id="$item->id" />
            <h2>What it is</h2>
            <dl class="facts">
                @foreach ($page->facts() as $name => $says)
                    <dt>{{ $name }}</dt>
                    <dd>{{ $says }}</dd>
                @endforeach
                <dt>Cost of its item</dt>
                <dd>{{ $print->price($item->cost) }} € a {{ $item->unit->code }}</dd>
                @if ($page->isSold())
                    <dt>Price</dt>
                    <dd>{{ $print->price($item->price) }} € a {{ $item->unit->code }}</dd>
                @endif
                @can('see-money')
                    @foreach ($page->sold as $one)
                        <dt>Price for</dt>
                        <dd>{{ $one->says() }}</dd>
                    @endforeach
                @endcan
            </dl>
            @if ($page->rolled)
                <h2>Rolled up</h2>
                <x-rolled :cost="$page->rolled" :unit="$item->unit->code" />
            @endif
            @if ($item->description !== '')
                <h2>Described</h2>
                <p class="written">{{ $item->description }}</p>
            @endif
            <x-take-one :kinds="$page->kinds()" field="item" :id="$item->id" />
            @can('change-items')
                @if ($item->retired_at)
                    <x-form method="delete" class="actions" :to="route('retired-items.destroy', $item->id)">
                        <input type="hidden" name="version" value="{{ $item->version }}">
                        <button class="btn btn-quiet btn-small">Bring it back into use</button>
                    </x-form>
                @else
                    <x-form class="actions" :to="route('retired-items.store', $item->id)">
                        <input type="hidden" name="version" value="{{ $item->version }}">
                        <button class="btn btn-quiet btn-small">Retire it</button>
                        <span class="sub">Only when nothing uses it any more.</span>
                    </x-form>
                @endif
            @endcan
        </section>
    </div>
</x-layout>
