<x-layout :title="$page->order->number">
    <div class="head">
        <h1>
            {{ $page->order->number }} ·
            <a href="{{ route('customers.show', $page->order->customerId) }}">{{ $page->order->customer }}</a>
        </h1>
        <span class="say">{{ $page->order->says() }}</span>
        @can('ship')
            <a class="btn btn-quiet ms-auto" href="{{ route('ship.index') }}#o{{ $page->order->id }}">Ship</a>
        @endcan
    </div>
    @if ($page->order->note !== '')<p class="written">{{ $page->order->note }}</p>@endif
    @can('cover')
        @if ($page->uncovered()->isNotEmpty())
            <x-form class="actions" :to="route('covers.store')">
                @foreach ($page->uncovered() as $line)
                    <input type="hidden" name="lines[]" value="{{ $line->id }}">
                @endforeach
                <button class="btn btn-act" name="by" value="stock-then-order">{{ $page->coverSays() }}</button>
                <label class="d-inline">
                    <input type="checkbox" name="with_parts" value="1" @checked(old('with_parts', '1'))>
                    also make orders for made parts that will be short
                </label>
            </x-form>
        @endif
    @endcan
    @include('customer-orders.lines')
    @can('cover')
        <div class="halves">
            @if ($page->tieable()->isNotEmpty())
                <div>
                    @foreach ($page->tieable() as $line)
                        <x-form class="actions align-items-start" method="put" :key="$line->form('tie')"
                            :to="route('covers.update', $line->id)">
                            Line {{ $line->position }} from what is open already:
                            <x-choice bare name="supply" label="From" :options="$page->candidates($line)" />
                            <x-field bare name="quantity" label="Quantity" class="n"
                                :value="$print->amount($line->uncovered())" inputmode="decimal" />
                            <button class="btn btn-quiet btn-small">Tie</button>
                        </x-form>
                    @endforeach
                </div>
            @endif
            <div>
                @foreach ($page->lines as $line)
                    @foreach ($line->covers as $cover)
                        <x-more :open="old('form') === $cover->form()"
                            :summary="'Untie line '.$line->position.' from '.$cover->source()">
                            <x-form class="actions align-items-start" method="delete" :key="$cover->form()"
                                :to="route('covers.destroy', $cover->id)">
                                <x-field bare name="reason" label="Why" placeholder="why" maxlength="200" />
                                <button class="btn btn-quiet btn-small">
                                    Untie {{ $print->amount($cover->quantity) }}
                                </button>
                            </x-form>
                        </x-more>
                    @endforeach
                @endforeach
            </div>
        </div>
    @endcan
    @can('enter-customer-order')
        @include('customer-orders.changes')
    @endcan
    <h2>Booked on this order</h2>
    <x-bookings :rows="$page->bookings" />
    <x-reasons for="change" />
</x-layout>
