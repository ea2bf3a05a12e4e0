@props(['title', 'keys' => []])
<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Keep Pace</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/assets/bootstrap.min.css">
    @foreach (['base', 'page', 'lists', 'forms', 'board', 'station', 'plans', 'slips', 'product'] as $part)
        <link rel="stylesheet" href="/css/{{ $part }}.css?v={{ filemtime(public_path("css/{$part}.css")) }}">
    @endforeach
    <script src="/assets/htmx.min.js" defer></script>
    <script src="/js/pace.js?v={{ filemtime(public_path('js/pace.js')) }}" defer></script>
    <script src="/js/live.js?v={{ filemtime(public_path('js/live.js')) }}" defer></script>
    <script src="/js/product.js?v={{ filemtime(public_path('js/product.js')) }}" defer></script>
    {{-- on every page: a form that answers in place leads to the board from anywhere, and loads no script --}}
    @foreach (['-axis', '-rows', '-paint', '-marks', '-panel', '-hand', '-keys', '-address', '', '-news'] as $part)
        <script src="/js/board{{ $part }}.js?v={{ filemtime(public_path("js/board{$part}.js")) }}" defer></script>
    @endforeach
    <meta name="htmx-config" content='{
        "includeIndicatorStyles": false,
        "allowEval": false,
        "historyCacheSize": 0,
        "refreshOnHistoryMiss": true,
        "scrollIntoViewOnBoost": false,
        "responseHandling": [
            {"code": "204", "swap": false},
            {"code": "[234]..", "swap": true},
            {"code": "5..", "swap": false, "error": true}
        ]
    }'>
</head>
<body>
@auth
<x-bar />
@endauth
<div id="says" aria-live="polite">
    @if (session('done'))
        <div class="said did" role="status">
            <span>{{ session('done') }}</span>
            @if (session('undo'))
                <x-form method="delete" :to="route('bookings.destroy', session('undo'))">
                    <input type="hidden" name="reason" value="undone at once">
                    <button class="btn btn-quiet btn-small">Undo</button>
                </x-form>
            @elseif (session('undo_plan'))
                <x-form :to="route('board.undo')">
                    <button class="btn btn-quiet btn-small">Undo</button>
                </x-form>
            @endif
        </div>
    @endif
    @if (session('booked'))
        <div class="said note" role="status" data-effect="{{ route('effect.show', session('booked')) }}" hidden></div>
    @endif
    @if (session('behind'))
        <div class="said note" role="status">{{ session('behind') }}</div>
    @endif
    @if (session('said'))
        <div class="said note" role="status">{{ session('said') }}</div>
    @endif
    @if (($errors ?? null)?->any())
        <div class="said not" role="alert"><x-refused :says="$errors->all()" /></div>
    @endif
</div>
<main id="page" {{ $attributes }}>{{ $slot }}</main>
<dialog class="keys" aria-label="Keys">
    <h2 class="mt-0">Keys of this page</h2>
    <dl class="facts">
        <dt><kbd>/</kbd></dt><dd>find or scan</dd>
        @auth
            <x-bar-keys />
        @endauth
        <dt><kbd>j</kbd> <kbd>k</kbd></dt><dd>next row, row before</dd>
        <dt><kbd>Ctrl</kbd> <kbd>Enter</kbd></dt><dd>send the form</dd>
        @foreach ($keys as $key => $does)
            <dt><kbd>{{ $key }}</kbd></dt><dd>{{ $does }}</dd>
        @endforeach
        <dt><kbd>?</kbd></dt><dd>this sheet</dd>
    </dl>
    <form method="dialog" class="mt-3"><button class="btn btn-quiet">Close</button></form>
</dialog>
</body>
</html>
