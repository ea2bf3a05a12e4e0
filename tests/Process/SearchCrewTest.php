<?php

use App\Planner\SearchCrew;
use App\Planner\SearchNews;
use App\Planner\SearchTask;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\MovePrice;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Symfony\Component\Process\Process;
use Tests\FeatureTestCase;

/* Searches beside one another, each in a process of its own. */

pest()->extend(FeatureTestCase::class);

/** Forty jobs of three steps on three machines, planned in the worst order there is: the latest due first. */
function crowded(int $iterations, int $seconds = 60): SearchTask
{
    mt_srand(11);
    $open = OpenWindows::of([[0, 200_000]], [], 0, 200_000);
    $jobs = [];
    for ($n = 0; $n < 40; $n++) {
        $steps = array_map(fn (int $s): Step => new Step(10 * $n + $s, mt_rand(1, 3), mt_rand(20, 90)), [1, 2, 3]);
        $jobs[] = new Job($n + 1, "J{$n}", 40 - $n, mt_rand(200, 3000), $steps);
    }
    $centres = array_map(fn (): WorkCentre => new WorkCentre('M', 1, $open), [1 => 1, 2 => 2, 3 => 3]);
    $problem = new Problem(0, $centres, $jobs);
    $plan = KeptSequence::load($problem, [])->steps;

    return new SearchTask($problem, $plan, 5, $seconds, new MovePrice, $iterations);
}

it('takes the best of its seeds, the same each time, and counts the moves of all', function () {
    $told = [];
    $tell = function (array $news) use (&$told): bool {
        $told[] = count($news);

        return true;
    };
    $task = crowded(3000);
    $one = SearchCrew::run($task, 1, $tell);
    $two = SearchCrew::run($task->withSeed(6), 1, $tell);
    $both = SearchCrew::run($task, 2, $tell);
    expect($both->cost)->toBe(min($one->cost, $two->cost))
        ->and($both->iterations)->toBe($one->iterations + $two->iterations)
        ->and($both->schedule->finish)->toEqual(($one->cost <= $two->cost ? $one : $two)->schedule->finish)
        ->and($both->isBetter)->toBeTrue()
        ->and($told)->toContain(1, 2)
        ->and(glob(storage_path('app/search*')))->toBe([]); // nothing is left lying about
});

it('ends when it is told to, with the best of what was found', function () {
    $heard = null;
    $began = hrtime(true);
    $found = SearchCrew::run(crowded(SearchTask::ENOUGH), 2, function (array $news) use (&$heard): bool {
        $heard = $news;

        return min(array_map(fn (SearchNews $one): int => $one->iterations, $news)) === 0;
    });
    expect((hrtime(true) - $began) / 1e9)->toBeLessThan(30.0)
        ->and($found->isBetter)->toBeTrue()
        ->and($found->cost)->toBeLessThanOrEqual(min(array_map(fn (SearchNews $one): int => $one->cost, $heard)));
});

it('ends by itself when who asked for it is gone, and leaves nothing behind', function () {
    $file = (string) tempnam(storage_path('app'), 'search');
    file_put_contents($file, serialize(crowded(SearchTask::ENOUGH)));
    $words = [PHP_BINARY, base_path('artisan'), 'pace:search-seed', $file];
    $command = implode(' ', array_map(escapeshellarg(...), $words));
    $pid = (int) Process::fromShellCommandline("{$command} > /dev/null 2>&1 & echo $!; sleep 3")
        ->setTimeout(20)
        ->mustRun()
        ->getOutput();
    expect($pid)->toBeGreaterThan(1);
    for ($tries = 0; posix_kill($pid, 0) && $tries < 100; $tries++) {
        usleep(100_000);
    }
    expect(posix_kill($pid, 0))->toBeFalse()->and(is_file($file))->toBeFalse();
});

it('says that one broke off, and why', function () {
    $sound = crowded(100);
    $task = new SearchTask($sound->problem, array_fill_keys(array_keys($sound->plan), 'no step'), 1, 2, new MovePrice);
    SearchCrew::run($task, 2, fn (): bool => true);
})->throws(RuntimeException::class, 'A search broke off: ');

it('reads no news from what is none', function (string $line) {
    expect(SearchNews::read($line))->toBeNull();
})->with(['', 'Warning: something', '[]', '[1]', '[1, 2, 3]', '["1", 2, {}]', '{"cost": 3}']);

it('tells news in a line and reads it again', function () {
    $news = new SearchNews(120, 4000, [7 => 60, 12 => 5]);
    expect(SearchNews::read($news->line()))->toEqual($news)
        ->and(SearchNews::read((new SearchNews(0, 1, []))->line()))->toEqual(new SearchNews(0, 1, []));
});
