@props(['title', 'keys' => []])
<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Keep Pace</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/assets/bootstrap.min.css">
    <link rel="stylesheet" href="/css/pace.css?v={{ filemtime(public_path('css/pace.css')) }}">
    <script src="/assets/htmx.min.js" defer></script>
    <script src="/js/pace.js?v={{ filemtime(public_path('js/pace.js')) }}" defer></script>
    {{-- on every page: one gets to the board from anywhere by a form that answers in place, and that loads no script --}}
    @foreach (['board-paint', 'board-keys', 'board'] as $script)<script src="/js/{{ $script }}.js?v={{ filemtime(public_path("js/{$script}.js")) }}" defer></script>@endforeach

    <meta name="htmx-config" content='{"includeIndicatorStyles": false, "allowEval": false, "historyCacheSize": 0, "refreshOnHistoryMiss": true, "scrollIntoViewOnBoost": false, "responseHandling": [{"code": "204", "swap": false}, {"code": "[234]..", "swap": true}, {"code": "5..", "swap": false, "error": true}]}'>
</head>
<body>
@auth
<a class="skip" href="#page">To the page</a>
<header class="bar">
    <a class="name" href="/"><x-mark /> Keep Pace</a>
    <nav aria-label="Subjects">
        @foreach (['today' => 'Today', 'customer-orders.index' => 'Customer orders', 'orders.index' => 'Orders', 'release.index' => 'Release', 'board' => 'Board', 'issue.index' => 'Issue', 'station.index' => 'Station', 'receive.index' => 'Receive', 'ship.index' => 'Ship', 'stock.index' => 'Stock'] as $route => $word)
            <a href="{{ route($route) }}" @if (request()->routeIs($route, str_replace('.index', '.show', $route), str_replace('.index', '.create', $route), ...($route === 'issue.index' ? ['slips.*', 'returns.*', 'shortages.*', 'questions.*'] : []), ...($route === 'orders.index' ? ['rank.*', 'parts.*'] : []), ...($route === 'stock.index' ? ['purchases.*', 'reservations.*'] : []), ...($route === 'board' ? ['late.*', 'plans.*', 'dispatch.*', 'absence.*', 'calendars.*'] : ($route === 'customer-orders.index' ? ['promise.*'] : [])))) aria-current="page" @endif>{{ $word }}</a>
        @endforeach
    </nav>
    <form class="find" action="{{ route('find') }}" role="search">
        <input id="find" name="q" type="search" aria-label="Find or scan" placeholder="Find or scan  /" autocomplete="off" value="{{ request()->routeIs('find') && is_string(request('q')) ? request('q') : '' }}"
               hx-get="{{ route('find') }}" hx-trigger="input changed delay:180ms" hx-target="next .found">
        <div class="found"></div>
    </form>
    @php($clock = \App\Queries\Shop\ShopClock::now())
    <div class="clock"><span data-clock="{{ config('pace.zone') }}" data-now="{{ $clock->now->getTimestampMs() }}">{{ $clock->now->format('H:i') }}</span> · {{ $clock->now->format('D j M') }}<br><span class="shift">{{ $clock->shift }}</span></div>
    <details data-drop>
        <summary>{{ auth()->user()->name }} ▾</summary>
        <div class="drop">
            <div class="sub">{{ auth()->user()->role->label() }}</div>
            <div><a href="{{ route('parts.index') }}">Parts of orders</a></div>
            <div><a href="{{ route('shortages.index') }}">Shortages</a></div>
            <div><a href="{{ route('rank.index') }}">Rank of orders</a></div>
            <div><a href="{{ route('purchases.index') }}">Purchases</a></div>
            <div><a href="{{ route('questions.index') }}">Questions</a></div>
            <div><a href="{{ route('returns.index') }}">Components back to stores</a></div>
            <div><a href="{{ route('late.index') }}">Late orders</a></div>
            <div><a href="{{ route('dispatch.index') }}">Dispatch lists</a></div>
            <div><a href="{{ route('plans.index') }}">Plans and what-ifs</a></div>
            <div><a href="{{ route('promise.index') }}">Promise a date</a></div>
            <div><a href="{{ route('absence.index') }}">Machine down, person away</a></div>
            <div><a href="{{ route('calendars.index') }}">Calendars</a></div>
            <div><a href="{{ route('bookings.index') }}">All bookings</a></div>
            <div><a href="{{ route('periods.index') }}">Periods of the books</a></div>
            @can('import')<div><a href="{{ route('import.index') }}">Import files</a></div>@endcan
            @can('people')<div><a href="{{ route('people.index') }}">People who log in</a></div>@endcan
            <div><a href="{{ route('password.show') }}">Your password</a></div>
            <form method="post" action="{{ route('logout') }}" class="mt-1" data-whole>@csrf<button class="btn btn-quiet btn-small">Log out</button></form>
        </div>
    </details>
</header>
@endauth
<div id="says" aria-live="polite">
    @if (session('done'))
        <div class="said did" role="status"><span>{{ session('done') }}</span>
            @if (session('undo'))
                <form method="post" action="{{ route('bookings.destroy', session('undo')) }}">@csrf @method('delete')
                    @token<input type="hidden" name="reason" value="undone at once"><button class="btn btn-quiet btn-small">Undo</button></form>
            @elseif (session('undo_plan'))
                <form method="post" action="{{ route('board.undo') }}">@csrf @token<button class="btn btn-quiet btn-small">Undo</button></form>
            @endif
        </div>
    @endif
    @if (session('behind'))<div class="said note" role="status">{{ session('behind') }}</div>@endif
    @if (session('said'))<div class="said note" role="status">{{ session('said') }}</div>@endif
    @if (($errors ?? null)?->any())<div class="said not" role="alert">@include('parts.refused')</div>@endif
</div>
<main id="page" {{ $attributes }}>{{ $slot }}</main>
<dialog class="keys" aria-label="Keys">
    <h2 class="mt-0">Keys of this page</h2>
    <dl class="facts">
        <dt><kbd>/</kbd></dt><dd>find or scan</dd>
        <dt><kbd>g</kbd> then <kbd>t</kbd> <kbd>c</kbd> <kbd>o</kbd> <kbd>r</kbd> <kbd>b</kbd></dt><dd>Today, customer orders, orders, release, board</dd>
        <dt><kbd>g</kbd> then <kbd>i</kbd> <kbd>s</kbd> <kbd>v</kbd> <kbd>h</kbd> <kbd>k</kbd></dt><dd>issue, station, receive, ship, stock</dd>
        <dt><kbd>j</kbd> <kbd>k</kbd></dt><dd>next row, row before</dd>
        <dt><kbd>Ctrl</kbd> <kbd>Enter</kbd></dt><dd>send the form</dd>
        @foreach ($keys as $key => $does)<dt><kbd>{{ $key }}</kbd></dt><dd>{{ $does }}</dd>@endforeach
        <dt><kbd>?</kbd></dt><dd>this sheet</dd>
    </dl>
    <form method="dialog" class="mt-3"><button class="btn btn-quiet">Close</button></form>
</dialog>
</body>
</html>
