@props(['kind', 'page'])
{{-- How we deal with a customer or supplier, and whom to ask for there. --}}
<h2 class="mt-0">How we deal with them</h2>
<dl class="facts">
    @foreach ($page->facts() as $name => $says)
        <dt>{{ $name }}</dt>
        <dd>{{ $says }}</dd>
    @endforeach
    {{ $slot }}
</dl>
<x-contacts :list="$page->partner->contacts" />
<x-files :files="$page->files" :on="$page::FILES" :id="$page->partner->id" />
<x-partner-retire :kind="$kind" :partner="$page->partner" />
