{{-- What sales can change of the lines of an order. --}}
<x-more class="mt-2" summary="Change a line" :open="Str::startsWith(old('form', ''), 'line-')">
    @foreach ($page->lines as $line)
        <x-form class="actions align-items-start" method="put" :key="$line->form('line')"
            :to="route('customer-order-lines.update', $line->id)">
            <input type="hidden" name="version" value="{{ $page->order->version }}">
            <span><span class="num">{{ $line->position }}</span> {{ $line->item }}</span>
            <x-field bare name="quantity" :label="'Quantity of line '.$line->position" class="n"
                :value="$print->amount($line->quantity)" inputmode="decimal" /> {{ $line->unit }}
            <x-day worked bare name="promised_on" :label="'Promise date of line '.$line->position"
                :value="$line->promisedOn" />
            <button class="btn btn-quiet btn-small">Change line {{ $line->position }}</button>
        </x-form>
    @endforeach
</x-more>
<x-more class="mt-2" summary="The customer no longer wants a line" :open="Str::startsWith(old('form', ''), 'cancel-')">
    @foreach ($page->wanted() as $line)
        <x-form class="actions align-items-start" method="delete" :key="$line->form('cancel')"
            :to="route('customer-order-lines.destroy', $line->id)">
            <input type="hidden" name="version" value="{{ $page->order->version }}">
            <span><span class="num">{{ $line->position }}</span> {{ $line->item }}: what is made for it</span>
            <x-choice bare name="then" label="What becomes of it" :options="$print->noLongerFor()" />
            <x-choice bare name="other" label="Other line" :options="$page->otherLines($line)" />
            <x-field bare name="reason" list="reasons-change" label="Why" placeholder="why" size="20" maxlength="200" />
            <button class="btn btn-quiet btn-small">Cancel line {{ $line->position }}</button>
            @if ($page->hangsOn($line))
                <span class="sub">On it hang {{ $page->hangsOn($line) }}.</span>
            @endif
        </x-form>
    @endforeach
</x-more>
