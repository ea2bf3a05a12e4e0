<x-layout title="Promise a date">
    <p class="lead">
        When could it be finished? Asked of all load, stock and expected receipts, through the whole structure. Nothing
        is saved by asking.
    </p>
    <x-form class="actions align-items-end" :to="route('promise.ask')">
        <x-field name="item" label="Item number" :value="$asked['item'] ?? ''" list="items" size="16" />
        <datalist id="items" hx-get="{{ route('items.choose') }}?q=" hx-trigger="load"></datalist>
        <x-field name="quantity" label="How many" :value="$asked['quantity'] ?? ''" class="n" inputmode="decimal" />
        <x-day name="wanted" label="Wanted by" :value="$asked['wanted'] ?? ''" />
        <button class="btn btn-act">Ask</button>
    </x-form>
    @if ($answer !== null)
        @include('promise.answer')
    @endif
    <h2>Held now</h2>
    @if ($held->isEmpty())
        <p class="none">No date is held.</p>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Item</th>
                    <th class="n">Pieces</th>
                    <th>For</th>
                    <th>Finish</th>
                    <th>Held until</th>
                    <th>By</th>
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($held as $date)
                    <tr>
                        <td>{{ $date->item }} <span class="sub text-nowrap">{{ $date->itemNumber }}</span></td>
                        <td class="n">{{ $print->amount($date->quantity) }}</td>
                        <td>{{ $date->for }}</td>
                        <td>{{ $print->when($date->finishAt) }}</td>
                        <td>{{ $print->when($date->heldUntil) }}</td>
                        <td>{{ $date->person }}</td>
                        <td class="tight">
                            <x-form method="delete" :to="route('promise.destroy', $date->id)">
                                <button class="btn btn-quiet btn-small">Let it go</button>
                            </x-form>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
