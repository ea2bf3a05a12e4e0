{{-- What can be changed of a component: its quantity, another item, what is kept for it. --}}
<details class="more" @if ($typed($part->form('component'))->isMine()) open @endif>
    <summary>change</summary>
    @can('change-order')
        <form class="actions" method="post" action="{{ route('order-components.update', $part->id) }}">
            @csrf
            @method('put')
            @token($part->form('component'))
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field bare :in="$typed($part->form('component'))" name="quantity" :label="'Planned '.$part->item"
                class="n" :value="$print->amount($part->planned)" inputmode="decimal" />
            <button class="btn btn-quiet btn-small">Plan this much</button>
        </form>
        <form class="actions" method="post" action="{{ route('order-components.swap', $part->id) }}">
            @csrf
            @method('put')
            @token($part->form('swap'))
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field bare :in="$typed($part->form('swap'))" name="item" :label="'Item instead of '.$part->item"
                placeholder="item instead" size="9" />
            <x-field bare :in="$typed($part->form('swap'))" name="quantity" label="How much" class="n"
                placeholder="how much" inputmode="decimal" />
            <x-field bare :in="$typed($part->form('swap'))" name="reason" list="reasons-change" label="Why"
                placeholder="why" size="10"
                maxlength="200" />
            <button class="btn btn-quiet btn-small">Substitute</button>
        </form>
    @endcan
    @can('reserve')
        <form class="actions" method="post" action="{{ route('reservations.store') }}">
            @csrf
            @token($part->form('keep'))
            <input type="hidden" name="order" value="{{ $order->id }}">
            <input type="hidden" name="item" value="{{ $part->itemId }}">
            <x-field bare :in="$typed($part->form('keep'))" name="quantity" :label="'Keep of '.$part->item" class="n"
                placeholder="how much" inputmode="decimal" />
            <x-field bare :in="$typed($part->form('keep'))" name="lot" label="Lot" placeholder="any lot" size="8"
                maxlength="60" />
            @if (count($page->keepFrom($part)) > 1)
                <input type="hidden" name="component" value="{{ $part->id }}">
                <x-choice bare :in="$typed($part->form('keep'))" name="from" label="From"
                    :options="$page->keepFrom($part)" />
            @endif
            <button class="btn btn-quiet btn-small">Keep it for this order</button>
        </form>
    @endcan
    @can('change-order')
        @if ($part->hasParts())
            <form class="actions" method="post" action="{{ route('order-components.parts', $part->id) }}">
                @csrf
                @method('put')
                @token($part->form('parts'))
                <input type="hidden" name="version" value="{{ $order->version }}">
                <x-field bare :in="$typed($part->form('parts'))" name="quantity"
                    :label="'Parts instead of '.$part->item" class="n" :value="$print->amount($part->withParts())"
                    inputmode="decimal" />
                <button class="btn btn-quiet btn-small">Take their parts instead</button>
            </form>
        @endif
        @if ($part->canBeMade())
            <form class="actions" method="post" action="{{ route('order-components.make', $part->id) }}">
                @csrf
                @token($part->form('make'))
                <x-field bare :in="$typed($part->form('make'))" name="quantity" :label="'Make of '.$part->item"
                    class="n" :value="$print->amount($part->missing)" inputmode="decimal" />
                <label class="d-inline">
                    <input type="checkbox" name="with_parts" value="1" checked> with its parts
                </label>
                <button class="btn btn-quiet btn-small">Make it for this order</button>
            </form>
        @endif
    @endcan
    @can('purchase')
        @if ($page->canBeHad($part))
            <form class="actions" method="post" action="{{ route('purchases.store') }}">
                @csrf
                @token($part->form('buy'))
                <input type="hidden" name="add" value="1">
                <input type="hidden" name="{{ $part->buys('component') }}" value="{{ $part->id }}">
                <x-field bare :in="$typed($part->form('buy'))" :name="$part->buys('quantity')"
                    :field="$part->buysKey('quantity')" :label="'Buy of '.$part->item" class="n"
                    :value="$print->amount($part->missing)" inputmode="decimal" />
                <x-choice bare :in="$typed($part->form('buy'))" :name="$part->buys('supplier')"
                    :field="$part->buysKey('supplier')" :label="'Of whom to buy '.$part->item"
                    :options="$page->sellers->choices($part)" />
                <button class="btn btn-quiet btn-small">{{ $part->buyWords() }}</button>
                <button class="btn btn-quiet btn-small" name="draft" value="1">Put it on a draft</button>
            </form>
        @endif
    @endcan
</details>
