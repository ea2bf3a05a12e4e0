<x-layout title="Keep stock">
    <div class="head">
        <h1>
            {{ $print->amount($typed['quantity']) }} {{ $item->unit->code }} {{ $item->name }} kept for order
            {{ $order->number }}
        </h1>
        <span class="say">Nothing is kept yet. It would mean:</span>
    </div>
    <section class="effect" role="status">
        <ul>
            @foreach ($says as $line)
                <li @class([$line['tone'], 'notched' => $line['tone'] === 'behind'])>{{ $line['says'] }}</li>
            @endforeach
        </ul>
        <x-form class="actions" :to="route('reservations.store')">
            @foreach (['order', 'item', 'quantity'] as $name)
                <input type="hidden" name="{{ $name }}" value="{{ $typed[$name] }}">
            @endforeach
            <x-field bare name="reason" label="Why" placeholder="why" size="30" maxlength="200" />
            <button class="btn btn-act">Keep it for {{ $order->number }}</button>
            <a class="btn btn-quiet" href="{{ route('shortages.index') }}">Leave it as it is</a>
        </x-form>
    </section>
</x-layout>
