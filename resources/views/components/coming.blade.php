@props(['of'])
{{-- What is on its way for a component. --}}
@foreach ($of as $one)
    <span class="soon">{{ $one->says() }}</span>{{ $loop->last ? '' : '; ' }}
@endforeach
