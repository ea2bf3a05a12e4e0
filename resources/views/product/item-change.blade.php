<x-layout :title="'Change '.$item->number">
    <x-form method="put" :to="route('items.update', $item->id)">
        <input type="hidden" name="version" value="{{ $item->version }}">
        <div class="head">
            <h1>Change {{ $item->number }} · {{ $item->name }}</h1>
            <span class="say">Orders that are there keep what they were made by.</span>
        </div>
        @include('product.item-fields')
        <div class="actions">
            <button class="btn btn-act">Change {{ $item->number }}</button>
            <a href="{{ route('items.show', $item->id) }}">Leave it as it is</a>
        </div>
    </x-form>
</x-layout>
