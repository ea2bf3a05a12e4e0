<?php

namespace Bench;

use Tests\Support\Browser;

/**
 * The board in Chromium, behind the web server as bin/start has it: how long it takes to open, the longest frame while
 * it is scrolled and zoomed, and how soon a drag is answered, by preview and when kept.
 *
 * @param  callable(string): void  $say
 */
function board(callable $say): void
{
    $browser = Browser::at('http://127.0.0.1:'.getenv('PACE_BENCH_PORT'));
    try {
        $browser->login('supervisor');
        $browser->driver->manage()->timeouts()->setScriptTimeout(120);
        $open = [];
        for ($i = 0; $i < 5; $i++) {
            $browser->visit('/board')->see('Drag a step');
            $open[] = (float) $browser->driver->executeScript(
                'return performance.getEntriesByType("navigation")[0].loadEventEnd',
            );
        }
        $bars = (int) $browser->driver->executeScript('return window.board.bars.length');
        $orders = (int) $browser->driver->executeScript('return Object.keys(window.board.data.orders).length');
        $say(
            "Board with {$orders} open orders and {$bars} planned steps, "
                .'Chromium headless without a graphics card, 1280x900.',
        );
        $say('');
        $say('| what | ms |');
        $say('| --- | ---: |');
        $say(sprintf('| opened, from the click to the load event, median of 5 | %.0f |', middle($open)));
        foreach (['hours', 'days', 'week', 'fortnight', 'month', 'quarter'] as $zoom) {
            [$longest, $p95, $all] = (array) $browser->driver->executeAsyncScript(FRAMES, [$zoom]);
            $say(
                sprintf(
                    '| scrolled along and down at %s: longest frame of %d, 95th of 100 | %.0f, %.0f |',
                    $zoom,
                    $all,
                    $longest,
                    $p95,
                ),
            );
        }
        $say(
            sprintf(
                '| all in view drawn anew, at quarter | %.0f |',
                (float) $browser->driver->executeScript(
                    'const b = window.board, t = performance.now(); b.draw(true); return performance.now() - t',
                ),
            ),
        );
        $say(
            sprintf(
                '| a move previewed, answer to the browser, median of 15 | %.0f |',
                middle((array) $browser->driver->executeAsyncScript(PREVIEWS, [15])),
            ),
        );
        $say(
            sprintf(
                '| a move kept, answer to the browser, median of 9 | %.0f |',
                middle((array) $browser->driver->executeAsyncScript(MOVES, [9])),
            ),
        );
    } finally {
        $browser->end();
    }
}

/** @param  list<float|int>  $of */
function middle(array $of): float
{
    sort($of);

    return (float) $of[intdiv(count($of), 2)];
}

const FRAMES = <<<'JS'
const [zoom, done] = arguments, b = window.board, s = b.scroller;
b.setZoom(zoom); s.scrollTop = 0;
const gaps = []; let last = null, n = 0;
const step = (now) => {
    if (last !== null) gaps.push(now - last);
    last = now; n++;
    s.scrollLeft += n % 40 < 30 ? 60 : -140; s.scrollTop += n % 30 < 20 ? 24 : -40;
    if (n < 240) {
        requestAnimationFrame(step);
    } else {
        gaps.sort((x, y) => x - y);
        done([gaps[gaps.length - 1], gaps[Math.floor(gaps.length * 0.95)], gaps.length]);
    }
};
requestAnimationFrame(step);
JS;

const PREVIEWS = <<<'JS'
const [times, done] = arguments, b = window.board;
const bars = b.bars.filter((bar) => bar.centre && !bar.started);
(async () => {
    const taken = [];
    for (let i = 0; i < times; i++) {
        const bar = bars[(i * 131) % bars.length], t = performance.now();
        const where = { plan: 1, step: bar.id, centre: bar.centre, machine: bar.machine, minute: bar.start + 600 };
        const reply = await fetch(`${b.root.dataset.preview}?${new URLSearchParams(where)}`, {
            headers: { Accept: 'application/json' },
        });
        await reply.json();
        taken.push(performance.now() - t);
    }
    done(taken);
})();
JS;

const MOVES = <<<'JS'
const [times, done] = arguments, b = window.board;
const bars = b.bars.filter((bar) => bar.centre && !bar.started);
(async () => {
    const taken = [];
    for (let i = 0; i < times; i++) {
        const bar = bars[(i * 197) % bars.length], t = performance.now();
        const token = `bench-${Date.now()}-${i}`;
        const where = { token, plan: 1, centre: bar.centre, machine: bar.machine, minute: bar.start + 600 };
        const reply = await fetch(`${b.root.dataset.move}/${bar.id}`, {
            method: 'POST',
            headers: {
                'Content-Type': 'application/json',
                Accept: 'application/json',
                'X-CSRF-TOKEN': b.root.dataset.csrf,
            },
            body: JSON.stringify(where),
        });
        await reply.json();
        taken.push(performance.now() - t);
    }
    done(taken);
})();
JS;
