<x-layout :title="$page->bill->word().' '.$page->bill->number">
    <div class="head">
        <h1>{{ $page->bill->word() }} {{ $page->bill->number }}</h1>
        <span class="say">
            <a href="{{ route('suppliers.show', $page->bill->supplier_id) }}">{{ $page->bill->supplier->name }}</a>
            · of {{ $print->day($page->bill->billed_on) }}
            @if ($page->bill->due_on) · due {{ $print->day($page->bill->due_on) }} @endif
            · {{ $page->bill->state->label() }} · {{ $print->money($page->bill->cents) }} €
        </span>
        <a class="ms-auto" href="{{ route('bills.index') }}">All bills</a>
    </div>
    @if ($page->bill->note !== '')<p class="written">{{ $page->bill->note }}</p>@endif
    @if ($page->isOpen())
        <p class="lead">{{ $page->says() }}</p>
    @endif
    @if ($page->isOpen() && Gate::allows('bill'))
        <x-form method="put" key="accept" :to="route('bills.accept', $page->bill->id)">
            <input type="hidden" name="version" value="{{ $page->bill->version }}">
            @include('bills.lines')
            <div class="actions">
                <button class="btn btn-act">Accept it</button>
                <span class="sub">
                    What it bills is owed no longer. Charges, and what is beyond the agreed price, go to the goods that
                    are still there; of what has left, to variance.
                </span>
            </div>
        </x-form>
        <x-more summary="Send it back" :open="old('form') === 'refuse'">
            <x-form method="delete" key="refuse" class="actions align-items-end"
                :to="route('bills.refuse', $page->bill->id)">
                <input type="hidden" name="version" value="{{ $page->bill->version }}">
                <x-field name="reason" label="What is wrong with it" size="40" maxlength="200" />
                <button class="btn btn-quiet">Send it back</button>
                <span class="sub">Another can come under its number.</span>
            </x-form>
        </x-more>
    @else
        @include('bills.lines')
    @endif
    <h2>Booked on it</h2>
    <x-bookings :rows="$page->bookings" />
</x-layout>
