<button class="btn btn-quiet btn-small" hx-get="{{ route('late.levers', $page->order) }}" hx-target="#levers"
    hx-swap="outerHTML">{{ $label }}</button>
