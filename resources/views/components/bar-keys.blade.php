<dt><kbd>g</kbd> then</dt>
<dd class="go">
    @foreach ($pages as $page)
        <span data-go="{{ $page->key() }}" data-to="{{ route($page->value) }}">
            <kbd>{{ $page->key() }}</kbd> {{ mb_strtolower($page->label()) }}
        </span>
    @endforeach
</dd>
