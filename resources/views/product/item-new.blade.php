<x-layout title="New item">
    <x-form :to="route('items.store')">
        @if ($like)<input type="hidden" name="like" value="{{ $like->id }}">@endif
        <div class="head">
            <h1>New item{{ $like ? " like {$like->number}" : '' }}</h1>
            <span class="say">
                @if ($like?->kind->hasStructure())
                    Its structure and routing begin as drafts of those of {{ $like->number }}.
                @else
                    What it is made of and how is drawn up on its page.
                @endif
            </span>
        </div>
        @if ($patterns->isNotEmpty())
            <p class="mb-1">
                Begin with a pattern:
                @foreach ($patterns as $pattern)
                    <a class="way" href="{{ route('items.create', ['like' => $pattern->id]) }}"
                        @if ($pattern->isChosen) aria-current="true" @endif>{{ $pattern->says() }}</a>
                @endforeach
            </p>
        @endif
        <div class="field"><x-field name="number" label="Number" size="16" maxlength="40" autofocus
            :placeholder="$form->nextNumber($like)" /></div>
        @include('product.item-fields')
        <div class="actions">
            <button class="btn btn-act">Enter this item</button>
            <a href="{{ route('items.index') }}">Leave without entering</a>
        </div>
    </x-form>
</x-layout>
