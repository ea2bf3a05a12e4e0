<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Actions\Settings\KeepReasons;
use App\Actions\Settings\KeepSettings;
use App\Books\Signed;
use App\Models\Person;
use App\Planner\KeepUp;
use App\Settings\Settings;
use App\Shop\ShopState;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\Date;

/** A year at Meadowlark Extractor Works, played through the product's own actions on a set clock. */
final class Story
{
    private const SEED = 20;

    private const REASONS = [
        'scrap' => ['burr', 'scratched', 'wrong length', 'wrong radius', 'pores in the weld', 'dropped'],
        'change' => ['asked for by the customer', 'part not to be had', 'other machine', 'drawing changed'],
    ];

    private const SETTINGS = [
        'shop_name' => 'Meadowlark Extractor Works',
        'shop_address' => '4 Mill Lane, Ballyhale',
    ];

    public readonly Tries $tries;

    private readonly Dice $dice;

    public function __construct(
        private readonly ImportFolder $import,
        private readonly KeepUp $plan,
        private readonly Office $office,
        private readonly Buyer $buyer,
        private readonly Bills $bills,
        private readonly Floor $floor,
        private readonly Stores $stores,
        private readonly Morning $morning,
        private readonly KeepReasons $reasons,
        private readonly KeepSettings $settings,
        private readonly Pictures $pictures,
    ) {
        $this->tries = new Tries();
        $this->dice = new Dice(self::SEED);
    }

    /**
     * Tells the story up to now.
     *
     * @param  int  $weeks  whole ones before the running week
     * @param  Closure(Role): Person  $as
     * @param  callable(int): void  $progress  told each day
     */
    public function play(int $weeks, Closure $as, callable $progress): void
    {
        $clock = Date::getTestNow();
        $days = StoryDays::until(CarbonImmutable::now(config()->string('pace.zone')), $weeks);
        $staff = new Staff($as, $this->dice);
        foreach ([$this->office, $this->buyer, $this->bills, $this->floor, $this->stores] as $part) {
            $part->begin($staff, $this->dice, $this->tries);
        }
        try {
            Date::setTestNow($days->first->setTime(6, 30)->min($days->now));
            $this->import->handle(base_path('demo'), $staff->in(Role::Planner));
            $plant = ShopState::now()->plant;
            foreach ($days->all() as $number => $day) {
                $this->dice->day($number);
                if ($plant === null || $plant->isWorkingDay($day->toDateString())) {
                    $this->plan->atTheEnd(fn () => $this->day($days, $number, $day));
                }
                $progress($number);
            }
        } finally {
            Date::setTestNow($clock);
        }
        $this->import->handle(base_path('demo/this-week'), $staff->in(Role::Planner));
        $this->reasons->handle(self::REASONS, new Signed('demo-reasons', $staff->in(Role::Supervisor)));
        $this->settings->handle(
            self::SETTINGS,
            Settings::version(),
            new Signed('demo-settings', $staff->in(Role::Supervisor)),
        );
        $this->pictures->hang($staff);
        $this->plan->atTheEnd(fn () => $this->morning->play($staff, $this->tries));
    }

    private function day(StoryDays $days, int $number, CarbonImmutable $day): void
    {
        $left = $days->left($number);
        $deeds = [
            [6, 50, fn () => $this->office->plan()],
            [7, 10, fn () => $this->floor->goodsIn($left)],
            [7, 20, fn () => $this->office->arrivals($left)],
            [7, 40, fn () => $this->office->demand($day, $left)],
            [8, 5, fn () => $this->office->coverAgain($day, $left)],
            [8, 10, fn () => $this->buyer->answers($left)],
            [8, 15, fn () => $this->buyer->putDown($this->office->shelf($left))],
            [8, 18, fn () => $this->buyer->orderWork($left)],
            [8, 20, fn () => $this->buyer->send($left)],
            [8, 30, fn () => $this->office->release($left)],
            [9, 0, fn () => $this->floor->issue($left)],
            [10, 30, fn () => $this->bills->week()],
            [11, 30, fn () => $this->floor->work($left)],
            [14, 50, fn () => $this->floor->work($left)],
            [15, 10, fn () => $this->floor->ship($left)],
            [15, 20, fn () => $this->office->close($left)],
            [15, 25, fn () => $this->stores->day($left)],
        ];
        foreach ($deeds as [$hour, $minute, $deed]) {
            $at = $days->at($day, $hour, $minute);
            if ($at !== null) {
                Date::setTestNow($at);
                $deed();
            }
        }
        Date::setTestNow($day->setTime(16, 0)->min($days->now));
    }
}
