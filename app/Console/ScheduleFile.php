<?php

namespace App\Console;

use Illuminate\Console\Command;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Cases\CaseFile;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\JobShop\MakespanSearch;
use KeepPace\Core\Scheduling\JobShop\ShopFile;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\Makespan;
use KeepPace\Core\Scheduling\Search\TardinessSearch;

/** Schedules a published case, to measure the search by what others reached. */
class ScheduleFile extends Command
{
    use ReadsText;

    /** Thirty years in seconds, and more moves than these can make. */
    private const DIGITS = 9;

    protected $signature = 'pace:schedule-file
        {file : job shop in text form, or a calendar case in JSON}
        {--objective= : makespan, or tardiness where there are due dates}
        {--seconds=10 : cut the search after this time}
        {--iterations=0 : end it after this many moves; 0 = by time alone}
        {--seed=1}
        {--target=0 : end it at this makespan}
        {--out= : write the schedule here}';

    protected $description = 'Schedule a case for the least makespan or the least weighted tardiness';

    public function handle(): int
    {
        JustInTime::orAgain();
        $file = $this->argumentText('file');
        $text = is_file($file) ? (string) file_get_contents($file) : '';
        $isCase = str_starts_with(ltrim($text), '{');
        $objective = $this->optionText('objective') ?: ($isCase ? 'tardiness' : 'makespan');
        $fault = $this->fault($file, $isCase, $objective);
        if ($fault !== null) {
            $this->error($fault);

            return self::FAILURE;
        }
        try {
            [$schedule, $line] = $isCase ? $this->case($text, $objective === 'makespan') : $this->jobShop($text);
        } catch (Refused $refused) {
            $this->error("{$file}: {$refused->getMessage()}");

            return self::FAILURE;
        }
        $out = $this->optionText('out');
        if ($out !== '' && @file_put_contents($out, $schedule) === false) {
            $this->error("The schedule cannot be written to {$out}.");

            return self::FAILURE;
        }
        $this->line($line.', seed '.$this->optionText('seed').(JustInTime::isOn() ? '' : ', without JIT'));

        return self::SUCCESS;
    }

    /** What is wrong with what was asked for; null = nothing. */
    private function fault(string $file, bool $isCase, string $objective): ?string
    {
        foreach (['seconds', 'iterations', 'seed', 'target'] as $option) {
            $typed = $this->optionText($option);
            if (! ctype_digit($typed) || strlen($typed) > self::DIGITS) {
                return "--{$option} must be a whole number of ".self::DIGITS.' digits at most.';
            }
        }

        return match (true) {
            ! is_file($file) => "There is no file {$file}.",
            ! $isCase && $objective !== 'makespan' => 'A job shop in text form has no due dates: it is scheduled for '
                .'makespan.',
            ! in_array($objective, ['makespan', 'tardiness'], true) => '--objective must be makespan or tardiness.',
            default => null,
        };
    }

    /** @return array{string, string} the schedule file, what to say */
    private function jobShop(string $text): array
    {
        $shop = ShopFile::read($text);
        $began = hrtime(true);
        $schedule = MakespanSearch::solve(
            $shop,
            (int) $this->option('seed'),
            $this->iterations(),
            $this->goOn($began),
            (int) $this->option('target'),
        );

        return [
            ShopFile::write($shop, $schedule),
            sprintf(
                'makespan %d, %.1f s, %d iterations',
                $schedule->makespan,
                (hrtime(true) - $began) / 1e9,
                $schedule->iterations,
            ),
        ];
    }

    /** @return array{string, string} */
    private function case(string $text, bool $makespan): array
    {
        JustInTime::byFunction();
        $began = hrtime(true);
        $case = CaseFile::read($text);
        $net = Net::of($makespan ? Makespan::only($case->problem) : $case->problem);
        $found = TardinessSearch::solve($net, (int) $this->option('seed'), $this->iterations(), $this->goOn($began));
        $schedule = Makespan::without(Loading::load($net, $found->order, only: $found->ways));
        if ($schedule->unplaced !== []) {
            throw Refused::because(implode(' ', $schedule->unplaced));
        }

        $flow = array_sum($schedule->finish);
        $late = array_sum(
            array_map(
                fn (Job $job): int => $job->weight * max(0, $schedule->finish[$job->id] - $job->due),
                $case->problem->jobs,
            ),
        );

        return [
            $case->write($schedule, [$late, $flow]),
            ($makespan ? 'makespan '.max(0, ...$schedule->finish).', ' : '')
            .sprintf(
                'weighted tardiness %d, sum of completions %d, %.1f s, %d iterations',
                $late,
                $flow,
                (hrtime(true) - $began) / 1e9,
                $found->iterations,
            ),
        ];
    }

    private function iterations(): int
    {
        return (int) $this->option('iterations') ?: PHP_INT_MAX;
    }

    /** @return \Closure(int, int): bool */
    private function goOn(int $began): \Closure
    {
        $until = $began + (int) $this->option('seconds') * 1_000_000_000;

        return fn (): bool => hrtime(true) < $until;
    }
}
