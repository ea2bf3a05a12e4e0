<?php

namespace Tests\Support;

use Facebook\WebDriver\WebDriverDimension;

/**
 * Looks at pages with something on them: no serious fault by axe-core (WCAG 2.2 A and AA), and nothing cut off on a
 * 10-inch tablet.
 */
final class Looked
{
    /** What a shop at work has to show. */
    private const AT_WORK = <<<'PHP'
        app(KeepUp::class)->atTheEnd(function () use ($shop) {
            $lines = ["TRAY-40" => "4", "EX-9H" => "6", "LID-9" => "2"];
            $shop->cover($shop->customerOrder($lines, now()->addDays(6)->toDateString()), withParts: true);
            $tray = Order::query()->whereRelation("item", "number", "TRAY-40")->first();
            $shop->release($tray);
            $shop->issueAll($tray);
            foreach ($tray->steps as $i => $step) {
                $shop->report($step, "3", $i === 2 ? "0" : "3", $i === 0 ? "1" : "0");
            }
            $gears = $shop->order("GEAR-48", "6");
            $shop->release($gears);
            foreach ($gears->steps()->limit(2)->get() as $step) {
                $shop->report($step, "6", "6");
            }
            $shop->release($shop->order("DRUM-9", "2", now()->subDays(4)->toDateString()));
        });
        $extractors = $shop->order("EX-9E", "20");
        $shop->release($extractors);
        $orders = [$extractors->id, Order::query()->whereRelation("item", "number", "DRUM-9")->value("id")];
        app(ProposeSlip::class)->handle($orders, "whole", null, $shop->sign(Role::Storekeeper));
        $casting = new LineToBuy($shop->item("CAST-48")->id, "20");
        app(RaisePurchases::class)->handle([$casting], false, $shop->sign(Role::Buyer));
        app(WhatIf::class)->copy("Quiet", $shop->sign(Role::Planner));
        echo "ok";
        PHP;

    private const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

    /** What the width of the page can change. */
    private const SIZES = ['target-size', 'scrollable-region-focusable'];

    private const RUN = <<<'JS'
        const done = arguments[arguments.length - 1];
        const runOnly = arguments[0];
        const told = (fault) => `${fault.id}: ${fault.nodes.slice(0, 3).map((n) => n.html.slice(0, 160)).join(' | ')}`;
        // no rule of these asks for the style sheets, and what is well is told to nobody
        axe.run(document, {runOnly, preload: false, resultTypes: ['violations']}).then((result) => done(
            result.violations.filter((fault) => ['serious', 'critical'].includes(fault.impact)).map(told),
        ));
        JS;

    /** By its address, where the browser keeps what it compiled. */
    private const LOAD = <<<'JS'
        const done = arguments[arguments.length - 1];
        if (typeof axe !== 'undefined') return done();
        const script = document.createElement('script');
        script.src = '/axe.js';
        script.onload = () => done();
        document.head.append(script);
        JS;

    /** @var list<string> */
    public array $faults = [];

    public function __construct(private readonly LiveShop $shop, private readonly Browser $browser)
    {
    }

    /** Fills the shop, once for a test. */
    public function atWork(): self
    {
        $filled = $this->shop->php(self::AT_WORK);
        $filled->wait();
        expect($filled->getOutput().$filled->getErrorOutput())->toBe('ok');

        return $this;
    }

    /** On a desk, on a small screen and on a tablet held upright. */
    public function at(string $page): void
    {
        $this->open($page, 1280, 800);
        $this->judge("{$page} at 1280", self::ALL);
        $this->fits($page, 1024, 768);
        $this->fits($page, 800, 1280);
        $this->judge("{$page} at 800", self::SIZES); // all else is that of the desk
    }

    public function open(string $page, int $width, int $height): void
    {
        $this->browser->visit($page);
        $this->fits($page, $width, $height);
    }

    /** The page that is shown, at another size; what draws itself does so anew. */
    private function fits(string $page, int $width, int $height): void
    {
        $this->browser->driver->manage()->window()->setSize(new WebDriverDimension($width, $height + 140));
        // the page itself never scrolls sideways; the board may, inside its frame
        $over = $this->browser->driver->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            document.querySelectorAll('main details:not([open])').forEach((details) => { details.open = true; });
            const over = () => document.documentElement.scrollWidth - document.documentElement.clientWidth;
            requestAnimationFrame(() => setTimeout(() => done(over()), 20));
            JS);
        if ($over > 1) {
            $this->faults[] = "{$page} at {$width}: {$over} px too wide";
        }
    }

    /** @param  list<string>  $by  rules of axe-core, or their tags */
    private function judge(string $where, array $by): void
    {
        $this->browser->driver->executeAsyncScript(self::LOAD);
        foreach ($this->browser->driver->executeAsyncScript(self::RUN, [$by]) as $fault) {
            $this->faults[] = "{$where}: {$fault}";
        }
    }
}
