<?php

namespace Bench;

use KeepPace\Core\Scheduling\Cases\CaseFile;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Search\TardinessSearch;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/**
 * Measures the schedule engine on a folder of cases that comes with its own checkers. One thread; nothing else should
 * run.
 */
final class Schedules
{
    /** @var array<string, mixed> */
    private array $expected;

    private readonly BestKnown $known;

    /** @param  callable(string): void  $say */
    public function __construct(private readonly string $folder, private $say)
    {
        $this->expected = json_decode((string) file_get_contents("{$folder}/expected.json"), true);
        $this->known = new BestKnown(__DIR__.'/best-known.json');
    }

    /** @param  list<int>  $seeds */
    public function calendars(array $seeds): void
    {
        ($this->say)(
            "\n| case | seconds | weighted tardiness, by seed | best rule | × rule "
                .'| own best known | above it, median |',
        );
        ($this->say)('| --- | ---: | --- | ---: | ---: | ---: | ---: |');
        foreach (
            [
                'tiny-a' => 2,
                'tiny-b' => 2,
                'tiny-c' => 2,
                'small-a' => 10,
                'small-b' => 10,
                'small-c' => 10,
                'medium-a' => 10,
                'medium-b' => 10,
                'medium-c' => 10,
                'large-a' => 60,
            ] as $case => $seconds
        ) {
            $found = array_map(
                fn (int $seed): int => $this->file(
                    "calendar/{$case}.json",
                    $seconds,
                    $seed,
                    'check_schedule.py',
                    '/weighted tardiness (\d+)/',
                    '/OK total_weighted_tardiness=(\d+)/',
                ),
                $seeds,
            );
            $sorted = $found;
            sort($sorted);
            $median = $sorted[intdiv(count($sorted), 2)];
            $rule = $this->expected['calendar'][$case]['dispatch_best'][0];
            $best = $this->expected['calendar'][$case]['optimal'][0] ?? $this->known->of($case);
            ($this->say)(
                sprintf(
                    '| %s | %d | %s | %d | %.2f | %d | %.1f %% |',
                    $case,
                    $seconds,
                    implode(', ', $found),
                    $rule,
                    $median / $rule,
                    $best,
                    (100 * ($median - $best)) / $best,
                ),
            );
        }
    }

    /** @param  list<int>  $seeds */
    public function jobShops(int $seconds, array $seeds): void
    {
        ($this->say)("\n| job shop | seconds | makespan, by seed | best known | above it, mean |");
        ($this->say)('| --- | ---: | --- | ---: | ---: |');
        foreach (['ft06', 'ft10', 'ft20', 'ta01', 'ta02', 'ta03', 'ta04', 'ta05'] as $case) {
            $best = $this->expected['jobshop'][$case]['best_known'];
            $found = array_map(
                fn (int $seed): int => $this->file(
                    "jobshop/{$case}.txt",
                    $seconds,
                    $seed,
                    'check_jobshop.py',
                    '/makespan (\d+)/',
                    '/OK makespan=(\d+)/',
                    "--target={$best}",
                ),
                $seeds,
            );
            ($this->say)(
                sprintf(
                    '| %s | %d | %s | %d | %.2f %% |',
                    $case,
                    $seconds,
                    implode(', ', $found),
                    $best,
                    (100 * (array_sum($found) / count($found) - $best)) / $best,
                ),
            );
        }
    }

    public function growth(): void
    {
        ($this->say)(
            "\n| orders | steps | first schedule s | loaded by rank s "
                .'| sequence kept, one step moved s | 1,000 moves of the search s | MB |',
        );
        ($this->say)('| ---: | ---: | ---: | ---: | ---: | ---: | ---: |');
        $large = CaseFile::read((string) file_get_contents("{$this->folder}/calendar/large-a.json"))->problem;
        foreach ([1, 4, 16] as $times) {
            memory_reset_peak_usage();
            $problem = $this->grown($large, $times);
            $steps = array_sum(array_map(fn (Job $job): int => count($job->steps), $problem->jobs));
            $first = $this->seconds(function () use ($problem, &$schedule): void {
                $net = Net::of($problem);
                $schedule = Loading::load($net, Dispatch::order($net, Rule::TardinessCost));
            });
            $byRank = $this->seconds(fn () => ForwardLoading::load($problem));
            $later = $this->later($problem);
            $kept = $this->seconds(fn () => KeptSequence::load($later, $schedule->steps));
            $net = Net::of($problem);
            $order = KeptSequence::orderOf($net, $schedule->steps);
            $walk = new \KeepPace\Core\Scheduling\Walk\Walk($net, 1);
            $walk->cool($order, [], 100, 1000, 1000, fn (): bool => true);
            $moves = $this->seconds(fn () => $walk->cool($order, [], 1000, 1000, 1000, fn (): bool => true));
            ($this->say)(
                sprintf(
                    '| %d | %d | %.2f | %.2f | %.2f | %.2f | %d |',
                    count($problem->jobs),
                    $steps,
                    $first,
                    $byRank,
                    $kept,
                    $moves,
                    memory_get_peak_usage() >> 20,
                ),
            );
        }
    }

    /**
     * The solver gets the case as a model of its own: machines as cumulative in open minutes, clocks by table.
     *
     * @param  list<string>  $cases
     */
    public function solver(array $cases, int $seconds): void
    {
        ($this->say)("\n| case | seconds | here | MiniZinc with Gecode |");
        ($this->say)('| --- | ---: | ---: | ---: |');
        foreach ($cases as $case) {
            $problem = CaseFile::read((string) file_get_contents("{$this->folder}/calendar/{$case}.json"))->problem;
            $until = hrtime(true) + $seconds * 1_000_000_000;
            $here = TardinessSearch::solve(Net::of($problem), 1, PHP_INT_MAX, fn (): bool => hrtime(true) < $until)
                ->cost;
            $model = sys_get_temp_dir()."/{$case}.mzn";
            file_put_contents($model, (new SolverModel($problem))->text());
            $printed = (string) shell_exec(
                'minizinc --solver gecode -a --time-limit '.$seconds * 1000 .' '.escapeshellarg($model).' 2>&1',
            );
            unlink($model);
            preg_match_all('/late=(\d+)/', $printed, $late);
            ($this->say)(
                sprintf(
                    '| %s | %d | %d | %s |',
                    $case,
                    $seconds,
                    $here,
                    $late[1] === [] ? 'none found' : end($late[1]),
                ),
            );
        }
    }

    private function file(
        string $case,
        int $seconds,
        int $seed,
        string $checker,
        string $says,
        string $checked,
        string $more = '',
    ): int {
        $out = (string) tempnam(sys_get_temp_dir(), 'case');
        $php = 'php -d memory_limit=1G -d opcache.enable_cli=1 -d opcache.jit_buffer_size=64M -d opcache.jit=tracing';
        $printed = (string) shell_exec(
            "{$php} artisan pace:schedule-file "
                .escapeshellarg("{$this->folder}/{$case}")
                ." --seconds={$seconds} --seed={$seed} --out={$out} {$more}",
        );
        $judged = (string) shell_exec(
            'python3 '
                .escapeshellarg("{$this->folder}/{$checker}")
                .' '
                .escapeshellarg("{$this->folder}/{$case}")
                ." {$out}",
        );
        unlink($out);
        if (
            preg_match($says, $printed, $said) !== 1
            || preg_match($checked, $judged, $is) !== 1
            || $said[1] !== $is[1]
        ) {
            throw new \RuntimeException("{$case}: {$printed} {$judged}");
        }

        return (int) $is[1];
    }

    private function grown(Problem $large, int $times): Problem
    {
        // a hundred orders with all they need, so many times over, each lot with work centres of its own
        $jobs = [];
        $taken = [];
        $byId = [];
        foreach ($large->jobs as $job) {
            $byId[$job->id] = $job;
        }
        $take = function (int $id) use (&$take, &$taken, $byId): void {
            if (! isset($taken[$id])) {
                $taken[$id] = true;
                foreach ($byId[$id]->steps as $step) {
                    array_map($take, $step->afterJobs);
                }
            }
        };
        foreach ($large->jobs as $job) {
            if (count($taken) < 100) {
                $take($job->id);
            }
        }
        $centres = [];
        for ($lot = 0; $lot < $times; $lot++) {
            foreach ($large->workCentres as $key => $centre) {
                $centres[$lot * 1000 + $key] = new WorkCentre($centre->name, $centre->machines, $centre->open);
            }
            foreach (array_keys($taken) as $id) {
                $job = $byId[$id];
                $jobs[] = new Job(
                    $lot * 1000 + $id,
                    $job->name,
                    $job->rank,
                    $job->due,
                    array_map(
                        fn (Step $step): Step => new Step(
                            $lot * 100_000 + $step->id,
                            $step->workCentre === null ? null : $lot * 1000 + $step->workCentre,
                            $step->minutes,
                            materialAt: $step->materialAt,
                            afterJobs: array_map(fn (int $other): int => $lot * 1000 + $other, $step->afterJobs),
                        ),
                        $job->steps,
                    ),
                    $job->weight,
                );
            }
        }

        return new Problem(0, $centres, $jobs);
    }

    /** The same an hour later, with one step come to last longer. */
    private function later(Problem $problem): Problem
    {
        $jobs = $problem->jobs;
        $steps = $jobs[0]->steps;
        $steps[0] = new Step(
            $steps[0]->id,
            $steps[0]->workCentre,
            $steps[0]->minutes + 60,
            materialAt: $steps[0]->materialAt,
            afterJobs: $steps[0]->afterJobs,
        );
        $jobs[0] = new Job($jobs[0]->id, $jobs[0]->name, $jobs[0]->rank, $jobs[0]->due, $steps, $jobs[0]->weight);

        return new Problem(60, $problem->workCentres, $jobs);
    }

    private function seconds(callable $work): float
    {
        $began = hrtime(true);
        $work();

        return (hrtime(true) - $began) / 1e9;
    }
}
