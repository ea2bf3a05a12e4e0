{{-- Pieces were scrapped: what makes up for them, and what can. --}}
<section class="effect">
    <strong class="behind notched">
        {{ $page->isOpen() ? 'It will finish' : 'It finished' }} {{ $print->amount($page->short->scrapped) }} short.
    </strong>
    @foreach ($page->short->remakes as $remake)
        <span>
            {{ $remake->says() }}
            <a class="num" href="{{ route('orders.show', $remake->id) }}">{{ $remake->number }}</a>,
            {{ $remake->state }}, cost so far {{ $print->money($remake->cents) }} €.
        </span>
    @endforeach
    @can('change-order')
        @if ($page->short->toCure->isPositive())
            <x-form class="actions mb-0" key="short" :to="route('orders.short', $order->id)">
                <input type="hidden" name="version" value="{{ $order->version }}">
                <x-field bare name="quantity" label="How many" class="n" :value="$print->amount($page->short->toCure)"
                    inputmode="decimal" />
                <button class="btn btn-act" name="how" value="remake">Make them again</button>
                <button class="btn btn-quiet" name="how" value="stock">Take them from stock</button>
                <x-field bare name="reason" label="Who accepted it" placeholder="who accepted it" maxlength="200" />
                <button class="btn btn-quiet" name="how" value="accept">Accept it, ship short</button>
            </x-form>
        @endif
        @if ($page->isOpen())
            <span class="sub">
                Or top up from its first step: change the quantity to {{ $print->amount($page->toppedUp()) }} below.
            </span>
        @endif
    @endcan
</section>
