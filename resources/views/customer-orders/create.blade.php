<x-layout title="New customer order" :keys="['Enter' => 'next field; at the end a new row']">
    <x-form :to="route('customer-orders.store')">
        <div class="head">
            <h1>New customer order</h1>
            <span class="say">
                Type an item's number or part of its name; Enter goes on, Ctrl Enter enters the order.
            </span>
        </div>
        <div>
            <div class="field">
                <x-choice name="customer_id" label="Customer" :options="$customers" autofocus />
            </div>
            <div class="field">
                <x-field name="reference" label="Their reference" maxlength="60" />
            </div>
            <div class="field">
                <x-field name="ship_to" label="Ship to, if not their address" size="34" maxlength="200" />
            </div>
        </div>
        @if ($customers->isEmpty())
            <div class="none">
                No customer is entered yet.
                @can('keep-customers') <a href="{{ route('customers.create') }}">Enter the first</a> @endcan
            </div>
        @endif
        <datalist id="items" hx-get="{{ route('items.choose') }}?q=" hx-trigger="load"></datalist>
        <table class="list">
            <thead>
                <tr>
                    <th>Line</th>
                    <th>Item</th>
                    <th class="n">Quantity</th>
                    <th>Unit</th>
                    <th>Promise date</th>
                    <th class="n">Price, € per stock unit</th>
                </tr>
            </thead>
            <tbody data-grow>
                @foreach (array_values(old('lines', array_fill(0, 3, []))) as $n => $line)
                    @include('customer-orders.new-line')
                @endforeach
            </tbody>
        </table>
        <div class="actions">
            <button class="btn btn-act">Enter this order</button>
            <a href="{{ route('customer-orders.index') }}">Leave without entering</a>
        </div>
    </x-form>
</x-layout>
