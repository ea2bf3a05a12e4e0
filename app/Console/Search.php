<?php

namespace App\Console;

use App\Shop\StandingPlan;
use App\Wording\Figures;
use Illuminate\Console\Command;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;

/** Searches a better plan than the live one from the console, and says what it would win. It changes nothing. */
class Search extends Command
{
    private const ENOUGH = 100_000_000;

    private const MOST_SECONDS = 3600;

    protected $signature = 'pace:search
        {--seconds=20 : cut the search after this time}
        {--iterations=0 : end it after this many moves; 0 = by time alone}
        {--seed=1}
        {--moved=0 : what a step that starts at another time than planned costs, in minutes late}';

    protected $description = 'Search a better plan than the live one, and say what it would win';

    public function handle(): int
    {
        JustInTime::orAgain();
        $wrong = $this->wrong();
        if ($wrong !== null) {
            $this->error($wrong);

            return self::FAILURE;
        }
        JustInTime::byFunction();
        $standing = StandingPlan::of();
        [$problem, $stands] = $standing->loadNow($standing->shop(), StandingPlan::keeping($standing->steps()));
        $began = hrtime(true);
        $until = $began + (int) $this->option('seconds') * 1_000_000_000;
        $found = ScheduleSearch::solve(
            $problem,
            $stands->steps,
            (int) $this->option('seed'),
            (int) $this->option('iterations') ?: self::ENOUGH,
            static fn (): bool => hrtime(true) < $until,
            (int) $this->option('moved'),
        );
        $ran = (hrtime(true) - $began) / 1e9;
        $this->says(Comparison::between($problem, $stands, $found->schedule));
        $this->line(sprintf(
            '%d moves in %.1f s, %d a second, seed %d%s',
            $found->iterations,
            $ran,
            $found->iterations / max(0.1, $ran),
            $found->seed,
            JustInTime::isOn() ? '' : ', without JIT',
        ));

        return self::SUCCESS;
    }

    private function wrong(): ?string
    {
        foreach (['seconds', 'iterations', 'seed', 'moved'] as $option) {
            $typed = $this->option($option);
            if (! is_scalar($typed) || preg_match('/^\d{1,9}$/D', (string) $typed) !== 1) {
                return "--{$option} must be a whole number.";
            }
        }

        return (int) $this->option('seconds') > self::MOST_SECONDS
            ? '--seconds must be at most '.self::MOST_SECONDS.'.'
            : null;
    }

    private function says(Comparison $of): void
    {
        $orders = static fn (array $late): string => Figures::count(count($late), 'order')
            .', '.intdiv(array_sum($late), 60).' h';
        $this->line("Late as planned: {$orders($of->lateBefore)}.");
        $this->line($of->moved === []
            ? 'Nothing better was found.'
            : "Late then: {$orders($of->lateAfter)}; ".Figures::count(count($of->moved), 'step').' moved.');
    }
}
