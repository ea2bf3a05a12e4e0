{{-- What is on its way for a component. --}}
@foreach ($part->coming as $one)
    <span class="soon">{{ $one->says() }}</span>{{ $loop->last ? '' : '; ' }}
@endforeach
