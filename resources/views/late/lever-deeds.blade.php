{{-- What can be done with a lever: a fact at one click where it is one, and a plan beside the live one. --}}
@if ($offer->deed && Gate::allows($offer->deed->right))
    <x-form class="mb-1" :method="$offer->deed->method" :to="$offer->deed->address()">
        @foreach ($offer->deed->fields as $field => $value)
            <input type="hidden" name="{{ $field }}" value="{{ $value }}">
        @endforeach
        <button class="btn btn-act btn-small">{{ $offer->deed->label }}</button>
    </x-form>
@endif
@can('plan')
    <x-form class="mb-0" :to="route('late.try', $page->order)">
        <input type="hidden" name="says" value="{{ $offer->says }}">
        <input type="hidden" name="of" value="{{ $page->stamp }}">
        <button class="btn btn-quiet btn-small">Try it as a what-if</button>
    </x-form>
@endcan
