<a class="skip" href="#page">To the page</a>
<header class="bar">
    <a class="name" href="/"><x-mark /> Keep Pace</a>
    <nav aria-label="Subjects">
        @foreach ($subjects as $subject)
            <a href="{{ $address($subject) }}" aria-current="{{ $isOpen($subject) }}">{{ $subject->value }}</a>
        @endforeach
    </nav>
    <form class="find" action="{{ route('find') }}" role="search">
        <input id="find" name="q" type="search" aria-label="Find or scan" placeholder="Find or scan  /"
            value="{{ $typedToFind() }}" autocomplete="off"
            hx-get="{{ route('find') }}" hx-trigger="input changed delay:180ms" hx-target="next .found">
        <div class="found"></div>
    </form>
    <div class="clock">
        <span data-clock="{{ config('pace.zone') }}" data-now="{{ $clock->now->getTimestampMs() }}"
            >{{ $clock->now->format('H:i') }}</span>
        · {{ $clock->now->format('D j M') }}<br>
        <span class="shift">{{ $clock->shift }}</span>
        <span id="plan-age" data-stamp="{{ $plan->stamp }}" title="{{ $plan->says() }}"
            @class(['age', 'still' => $plan->standsStill()])>{{ $plan->short() }}</span>
    </div>
    <details data-drop>
        <summary>{{ $user->name }} ▾</summary>
        <div class="drop">
            <div class="sub">{{ $user->roles()->label() }}</div>
            <div><a href="{{ route('password.show') }}">Your password</a></div>
            <form method="post" action="{{ route('logout') }}" class="mt-1" data-whole>
                @csrf
                <button class="btn btn-quiet btn-small">Log out</button>
            </form>
        </div>
    </details>
</header>
@if ($hasSecondRow())
    <nav class="pages" aria-label="Pages of {{ $page->subject()->value }}">
        @foreach ($pages as $of)
            <a href="{{ route($of->value) }}" aria-current="{{ $isPage($of) }}">{{ $of->label() }}</a>
        @endforeach
    </nav>
@endif
<div id="plan-still">
    @if ($plan->standsStill())
        <div class="said not" role="alert">{{ $print->says($plan->says()) }}</div>
    @endif
</div>
