{{-- An empty shop: what to enter first, and where. It goes away with the first order. --}}
<h2>Before the first order</h2>
<ol class="first-things">
    @foreach ($first->things as $thing)
        <li @class(['there' => $thing->isThere])>
            <a href="{{ route($thing->route) }}">{{ $thing->name }}</a>
            @if ($thing->isThere)<span class="tag">there</span>@endif
            <span class="sub">{{ $thing->says }}</span>
        </li>
    @endforeach
</ol>
<p class="sub">
    Or all of it as files, checked first and taken whole or not at all:
    <a href="{{ route('import.index') }}">Files in and out</a>.
</p>
