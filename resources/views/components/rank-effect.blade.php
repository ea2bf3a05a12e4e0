@props(['of'])
{{-- What another place in the rank would do, before it is kept. --}}
<section class="effect" role="status">
    <h2 class="mt-0">{{ $of->title() }}</h2>
    <ul>
        @foreach ($of->says as $line)
            <li @class([$line['tone'], 'notched' => $line['tone'] === 'behind'])>{{ $line['says'] }}</li>
        @endforeach
    </ul>
    <form class="actions" method="post" action="{{ route('rank.store') }}">
        @csrf
        @token
        <input type="hidden" name="move" value="{{ $of->move() }}">
        @if ($of->servants->isNotEmpty())
            <p class="mb-1">
                For the shelf, but allotted to it, and going with it for parts and machines:
                @foreach ($of->servants as $one)
                    <a class="num" href="{{ route('orders.show', $one->id) }}">{{ $one->number }}</a>
                    {{ $one->item->name }}{{ $loop->last ? '.' : ', ' }}
                @endforeach
                <label class="d-inline">
                    <input type="checkbox" name="with_servants" value="1" checked>
                    {{ $of->withThemSays() }}
                </label>
            </p>
        @endif
        <button class="btn btn-act">Keep it so</button>
        <a class="btn btn-quiet" href="{{ route('rank.index') }}">Leave it as it is</a>
    </form>
</section>
