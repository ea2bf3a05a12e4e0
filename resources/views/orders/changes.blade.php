{{-- What a supervisor can change of an order that is open. --}}
<div class="changes">
    <x-more summary="Change quantity, due date, rank, hold or loading" :open="$typed('head')->isMine()">
        <x-form class="actions align-items-end" method="put" key="head" :to="route('orders.update', $order->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field name="quantity" label="Quantity" class="n" :value="$print->amount($order->quantity)"
                inputmode="decimal" />
            <x-day worked name="due_on" label="Due" :value="$order->dueOn" />
            <x-field name="rank" label="Rank" class="n" :value="$order->rank" inputmode="numeric" />
            <label class="d-inline">
                <input type="checkbox" name="is_held" value="1"
                    @checked($typed('head')->isMine() ? old('is_held') : $order->isHeld)> held
            </label>
            <label class="d-inline" title="No step begins before it must for its date">
                <input type="checkbox" name="is_loaded_late" value="1"
                    @checked($typed('head')->isMine() ? old('is_loaded_late') : $order->isLoadedLate)> as late as its
                date allows
            </label>
            <button class="btn btn-quiet">Change</button>
        </x-form>
        <x-form class="actions align-items-end" key="split" :to="route('orders.split', $order->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field name="quantity" label="Pieces to split off" class="n" inputmode="decimal" />
            <x-field name="reason" list="reasons-change" label="Why" size="20" maxlength="200" />
            <button class="btn btn-quiet">Split them off</button>
        </x-form>
        @if ($order->canBeCancelled())
            <x-form class="actions align-items-end" method="delete" key="cancel"
                :to="route('orders.destroy', $order->id)">
                <input type="hidden" name="version" value="{{ $order->version }}">
                <x-field bare name="reason" list="reasons-change" label="Why it is cancelled"
                    placeholder="why it is cancelled" size="30"
                    maxlength="200" />
                <button class="btn btn-quiet btn-small">Cancel this order</button>
            </x-form>
        @endif
    </x-more>
    <x-more summary="Add a component" :open="$typed('new-component')->isMine()">
        <x-form class="actions align-items-end" key="new-component" :to="route('order-components.store', $order->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <datalist id="items" hx-get="{{ route('items.choose') }}?q="
                hx-trigger="toggle from:closest details once"></datalist>
            <x-field name="item" label="Item" list="items" />
            <x-field name="quantity" label="Quantity" class="n" inputmode="decimal" />
            <x-field name="unit" label="Unit" size="4" placeholder="stock" />
            <x-choice name="step_number" label="Step" :options="$page->stepNumbers()" />
            <x-choice name="basis" label="When the quantity changes" 
                :options="['unit' => 'it goes along', 'order' => 'it stays']" />
            <button class="btn btn-quiet">Add the component</button>
        </x-form>
    </x-more>
    <x-more summary="Add a step" :open="$typed('new-step')->isMine()">
        <x-form class="actions align-items-end" key="new-step" :to="route('order-steps.store', $order->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-field name="number" label="Number" class="n" :value="$page->nextStep()" inputmode="numeric" />
            <x-field name="name" label="What is done" maxlength="60" />
            <x-choice name="work_centre_id" label="At" :options="$workCentres" />
            <x-field name="setup_minutes" label="Setup, minutes" class="n" value="0" inputmode="decimal" />
            <x-field name="run_rate" label="Minutes per unit" class="n" inputmode="decimal" />
            <button class="btn btn-quiet">Add the step</button>
        </x-form>
    </x-more>
</div>
