<x-layout title="The day's comings and goings" data-plan>
    <div class="head">
        <h1>At the gate</h1>
        <nav class="pick" aria-label="Day">
            <a href="{{ route('gate.index', ['on' => $before]) }}">before</a>
            <a href="{{ route('gate.index') }}" @if ($isToday) aria-current="true" @endif>today</a>
            <a href="{{ route('gate.index', ['on' => $next]) }}">next</a>
        </nav>
        <span class="say">
            {{ $print->day($list->day) }}:
            {{ $print->count(count($list->comes), 'thing comes', 'things come', 'nothing comes') }},
            {{ $print->count(count($list->goes), 'line goes', 'lines go', 'nothing goes') }}{{
                $isToday ? '; what is overdue stands here too' : '' }}.
        </span>
        <x-other-day />
    </div>
    @if ($wrong !== '')<p class="said not">{{ $wrong }}</p>@endif
    <div class="halves">
        <section>
            <h2 class="mt-0">Comes</h2>
            @include('flow.day-rows', ['rows' => $list->comes, 'none' => 'Nothing is to come.'])
        </section>
        <section>
            <h2 class="mt-0">Goes</h2>
            @include('flow.day-rows', ['rows' => $list->goes, 'none' => 'Nothing is to go.'])
        </section>
    </div>
</x-layout>
