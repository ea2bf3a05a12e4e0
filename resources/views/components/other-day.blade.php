{{-- The same page on another day. --}}
<form class="ms-auto d-flex gap-2">
    <x-day bare name="on" label="Another day" :value="''" />
    <button class="btn btn-quiet btn-small" data-keep>Go</button>
</form>
