@props(['of'])
{{-- On what the work of a step is ordered. --}}
@foreach ($of as $work)
    <a class="num text-nowrap" href="{{ route('purchases.show', $work->purchaseId) }}">{{ $work->number }}</a>
    <span @class(['sub', 'soon' => $work->isDraft()])>{{ $work->says() }}</span>
@endforeach
