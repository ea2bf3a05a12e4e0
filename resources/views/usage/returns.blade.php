<x-layout title="Return components">
    <div class="head">
        <h1>Components back to stores</h1>
        <span class="say">{{ $says }}</span>
    </div>
    <form class="filters" action="{{ route('returns.index') }}">
        <div>
            <label for="r-o">Order</label>
            <input class="form-control" id="r-o" name="order" value="{{ $number }}" list="orders-in-shop" size="10">
            <datalist id="orders-in-shop">
                @foreach ($orders as $one)
                    <option value="{{ $one->number }}">{{ $one->item }}</option>
                @endforeach
            </datalist>
        </div>
        <button class="btn btn-quiet">Show</button>
    </form>
    @if ($order === null)
        @include('usage.holding')
    @else
        @if ($lots->isEmpty())
            <div class="none">Nothing was issued to it that still lies in it.</div>
        @else
            <x-form :to="route('returns.store', $order->id)">
                @include('usage.return-lots')
                @can('issue')
                    <div class="actions align-items-end">
                        <x-choice name="place_id" label="To" :options="$places" />
                        <x-choice name="condition" label="As" :options="$print->conditions()" />
                        <x-field name="reason" label="Why it comes back" size="28" maxlength="200" />
                        <button class="btn btn-act">Take these back</button>
                    </div>
                @endcan
            </x-form>
        @endif
    @endif
</x-layout>
