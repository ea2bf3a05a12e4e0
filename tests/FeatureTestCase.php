<?php

namespace Tests;

use Illuminate\Foundation\Http\Events\RequestHandled;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Routing\Events\RouteMatched;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Tests\Support\PlansWhenRead;
use Tests\Support\Shop;
use Tests\Support\ShopSeeder;

/** A test on a database that holds the demo's product data and opening stock; each test is rolled back. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    protected bool $seed = true;

    protected string $seeder = ShopSeeder::class;

    public Shop $shop;

    /** Whether an answer of 500 is what the test is about. Else it throws: an error page shows what is looked for. */
    public bool $mayBreak = false;

    public PlansWhenRead $plan;

    /** @return list<string> tables whose rows are inserted and never changed */
    public static function writtenOnce(): array
    {
        return file(__DIR__.'/../database/written-once.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];
    }

    public function createApplication()
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        // set before the seeder runs: the demo's files hold dates relative to today
        Carbon::setTestNow(new \DateTimeImmutable('2026-11-24 09:00', new \DateTimeZone('Europe/Dublin')));
        parent::setUp();
        $this->plan = new PlansWhenRead;
        $this->shop = new Shop;
        // a page that is only looked at must not write; Laravel's own tables (sessions, cache) are its own affair
        $looking = false;
        Event::listen(RouteMatched::class, function (RouteMatched $event) use (&$looking): void {
            $looking = $event->request->isMethod('GET');
        });
        Event::listen(RequestHandled::class, function () use (&$looking): void {
            $looking = false;
        });
        $once = '/^\s*(update|delete from|replace into) `('.implode('|', self::writtenOnce()).')`/i';
        DB::listen(function ($query) use (&$looking, $once): void {
            if (preg_match($once, $query->sql) === 1) {
                throw new \LogicException("What is written once was changed: {$query->sql}");
            }
            if ($looking && ! $this->plan->isPlanning
                && preg_match('/^\s*(insert|update|delete|replace)/i', $query->sql) === 1
                && preg_match('/`(sessions|cache|cache_locks|people)`/', $query->sql) !== 1) {
                throw new \LogicException("A GET wrote: {$query->sql}");
            }
        });
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        // An application is a ring of few objects, so PHP is in no hurry to look for it; with a search of the schedule
        // in it, it weighs 100 MB and more, and a process that runs some 1,400 tests goes over its limit.
        if (memory_get_usage() > 256 * 1024 * 1024) {
            gc_collect_cycles();
        }
    }

    /**
     * @param  \Illuminate\Http\Response  $response
     * @param  \Illuminate\Http\Request  $request
     */
    protected function createTestResponse($response, $request)
    {
        $broke = $response->exception ?? null;

        return $broke instanceof \Throwable && $response->getStatusCode() >= 500 && ! $this->mayBreak
            ? throw $broke
            : parent::createTestResponse($response, $request);
    }
}
