@props(['says'])
{{-- A field that says on asking what it is for. --}}
<div class="asked">
    <div>{{ $slot }}</div>
    <details class="ask">
        <summary aria-label="What is this for?">?</summary>
        <p>{{ $says }}</p>
    </details>
</div>
