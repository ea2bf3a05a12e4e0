<x-layout :title="'A bill of '.$sheet->supplier->name">
    <div class="head">
        <h1>A bill of {{ $sheet->supplier->name }}</h1>
        <span class="say">
            {{ $print->count($sheet->rows->count(), 'line came', 'lines came', 'Nothing came') }} and
            {{ $sheet->rows->count() === 1 ? 'is' : 'are' }} not billed. Tick what stands on the paper.
        </span>
        <a class="ms-auto" href="{{ route('bills.index') }}">All bills</a>
    </div>
    <x-form key="bill" :to="route('bills.store')">
        <input type="hidden" name="supplier" value="{{ $sheet->supplier->id }}">
        <div class="actions align-items-start">
            <x-field name="number" label="Their number" size="16" maxlength="60" />
            <x-day name="billed_on" label="Of" />
            <x-day name="due_on" label="Due" placeholder="not said" />
            <x-field name="total" label="Its total, €" class="n" inputmode="decimal" placeholder="as its lines" />
        </div>
        @if ($sheet->rows->isNotEmpty())
            @include('bills.goods')
        @endif
        @include('bills.charges')
        <div class="actions">
            <button class="btn btn-act">Put the bill down</button>
            <span class="sub">Nothing is booked before it is accepted.</span>
        </div>
    </x-form>
</x-layout>
