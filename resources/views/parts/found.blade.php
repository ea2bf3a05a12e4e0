@foreach ($found as $row)
    <a href="{{ $row->url }}"><span>{{ $row->label }}</span><span class="what">{{ $row->what }}</span></a>
@endforeach
@if ($found->isEmpty() && $text !== '')
    <a href="{{ route('find', ['q' => $text]) }}">Nothing is called “{{ $text }}”.</a>
@endif
