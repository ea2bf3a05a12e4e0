<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Actions\Schedule\KeepUp;
use App\Models\User;
use App\Queries\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Date;

/** A year at Meadowlark Extractor Works, played through the product's own actions on a set clock. */
final class Story
{
    public function __construct(private readonly ImportFolder $import, private readonly KeepUp $plan, private readonly Office $office,
        private readonly Floor $floor, private readonly Stores $stores)
    {
    }

    /**
     * @param  callable(Role): User  $as
     * @param  callable(int): void  $progress  told each day
     */
    public function play(int $days, callable $as, callable $progress): void
    {
        $today = CarbonImmutable::now(config()->string('pace.zone'));
        $dice = new Dice(20);
        $this->office->begin($as, $dice);
        $this->floor->begin($as, $dice);
        $this->stores->begin($as, $dice);
        try {
            $day = $today->subDays($days)->setTime(6, 30);
            Date::setTestNow($day);
            $this->import->handle(base_path('demo'), $as(Role::Planner));
            $plant = ShopState::now()->plantCalendar();
            for ($i = 0; $day->toDateString() <= $today->toDateString(); $i++) {
                if ($plant === null || $plant->isWorkingDay($day->toDateString())) {
                    $last = $day->toDateString() === $today->toDateString();
                    $this->plan->once(fn () => $this->day($day, $days - $i, $last ? $today : null));
                }
                $progress($i);
                $day = $day->addDay();
            }
        } finally {
            Date::setTestNow();
        }
        $this->import->handle(base_path('demo/this-week'), $as(Role::Planner));
        $this->stores->thisMorning();
    }

    /** @param  CarbonImmutable|null  $until today, played only as far as it has come */
    private function day(CarbonImmutable $day, int $left, ?CarbonImmutable $until): void
    {
        foreach ([[6, 50, fn () => $this->office->plan()], [7, 10, fn () => $this->floor->goodsIn($left)], [7, 40, fn () => $this->office->demand($day, $left)],
            [8, 5, fn () => $this->office->coverAgain($day, $left)], [8, 15, fn () => $this->office->shelf($left)],
            [8, 30, fn () => $this->office->release($left)], [9, 0, fn () => $this->floor->issue($left)],
            [11, 30, fn () => $this->floor->work($left)],
            [14, 50, fn () => $this->floor->work($left)], [15, 10, fn () => $this->floor->ship($left)],
            [15, 20, fn () => $this->office->close($left)], [15, 25, fn () => $this->stores->day($left)]] as [$hour, $minute, $deed]) {
            $at = $day->setTime($hour, $minute);
            if ($until === null || $at < $until) {
                Date::setTestNow($at);
                $deed();
            }
        }
        Date::setTestNow($day->setTime(16, 0)->min($until ?? $day->setTime(16, 0)));
    }
}
