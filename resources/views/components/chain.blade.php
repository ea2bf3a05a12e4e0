@props(['links'])
{{-- How far a document is, link by link. --}}
<ol class="chain" aria-label="How far it is">
    @foreach ($links as $link)
        <li @class(['done' => $link->isDone, 'begun' => ! $link->isDone && $link->isBegun])>
            <span>{{ $link->label }}</span> {{ $link->says === '' ? 'not yet' : $link->says }}
        </li>
    @endforeach
</ol>
