{{-- It goes to the supplier, by mail or on paper. --}}
<section class="effect">
    <x-form class="actions mb-0 align-items-end" key="send" :to="route('purchase-orders.send', $page->order->id)">
        <input type="hidden" name="version" value="{{ $page->order->version }}">
        <datalist id="addresses">
            @foreach ($page->addresses as $address => $says)
                <option value="{{ $address }}">{{ $says }}</option>
            @endforeach
        </datalist>
        <x-field name="to" label="Mail to" list="addresses" size="30" maxlength="200"
            :value="array_key_first($page->addresses)" />
        <x-field name="words" label="With the words" size="36" maxlength="1000" />
        <button class="btn btn-act" name="by" value="mail">Send it by mail</button>
        <button class="btn btn-quiet" name="by" value="paper">It goes on paper</button>
    </x-form>
</section>
