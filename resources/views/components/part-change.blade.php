<x-more summary="change" :open="$in->isMine()">
    @can('change-order')
        <x-form class="actions" method="put" :key="$in->form" :to="route('order-components.update', $part->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field bare name="quantity" :label="'Planned '.$part->item" class="n"
                :value="$print->amount($part->planned)" inputmode="decimal" />
            <button class="btn btn-quiet btn-small">Plan this much</button>
        </x-form>
        <x-form class="actions" method="put" :key="$key('swap')" :to="route('order-components.swap', $part->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field bare name="item" :label="'Item instead of '.$part->item" placeholder="item instead" size="9" />
            <x-field bare name="quantity" label="How much" class="n" placeholder="how much" inputmode="decimal" />
            <x-field bare name="reason" label="Why" placeholder="why" size="10" maxlength="200" />
            <button class="btn btn-quiet btn-small">Substitute</button>
        </x-form>
    @endcan
    @can('reserve')
        <x-form class="actions" :key="$key('keep')" :to="route('reservations.store')">
            <input type="hidden" name="order" value="{{ $order->id }}">
            <input type="hidden" name="item" value="{{ $part->itemId }}">
            <x-field bare name="quantity" :label="'Keep of '.$part->item" class="n" placeholder="how much"
                inputmode="decimal" />
            <x-field bare name="lot" label="Lot" placeholder="any lot" size="8" maxlength="60" />
            <button class="btn btn-quiet btn-small">Keep it for this order</button>
        </x-form>
    @endcan
</x-more>
