<?php

namespace App\Console;

use App\Planner\SearchCrew;
use App\Planner\SearchTask;
use App\Shop\Prepared;
use App\Shop\StandingPlan;
use App\Wording\Figures;
use Illuminate\Console\Command;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\MovePrice;

/** Searches a better plan than the live one from the console, and says what it would win. It changes nothing. */
class Search extends Command
{
    private const MOST_SECONDS = 3600;

    private const MOST_CORES = 64;

    protected $signature = 'pace:search
        {--seconds=20 : cut the search after this time}
        {--iterations=0 : end it after this many moves; 0 = by time alone}
        {--seed=1}
        {--cores=0 : so many searches beside one another, each by a seed of its own; 0 = one a core}
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
        $found = SearchCrew::run(
            new SearchTask(
                $problem,
                $stands->steps,
                (int) $this->option('seed'),
                (int) $this->option('seconds'),
                new MovePrice((int) $this->option('moved'), Prepared::steps($problem, $stands->steps)),
                (int) $this->option('iterations') ?: SearchTask::ENOUGH,
            ),
            (int) $this->option('cores') ?: SearchCrew::size(),
            static fn (): bool => true,
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
        foreach (['seconds', 'iterations', 'seed', 'moved', 'cores'] as $option) {
            $typed = $this->option($option);
            if (! is_scalar($typed) || preg_match('/^\d{1,9}$/D', (string) $typed) !== 1) {
                return "--{$option} must be a whole number.";
            }
        }

        return match (true) {
            (int) $this->option('seconds') > self::MOST_SECONDS => '--seconds must be at most '.self::MOST_SECONDS.'.',
            (int) $this->option('cores') > self::MOST_CORES => '--cores must be at most '.self::MOST_CORES.'.',
            default => null,
        };
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
