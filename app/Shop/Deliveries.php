<?php

namespace App\Shop;

use App\Models\Calendar;
use App\Settings\Setting;
use App\Settings\Settings;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Delivery;
use KeepPace\Core\Planning\Expected;

/**
 * When what is ordered, overdue or not ordered at all can be used: the one place where the shop's assumptions about it
 * are made.
 */
final class Deliveries
{
    /** Days looked up for the next opening after goods have come. */
    private const AHEAD = 400;

    private readonly OpenWindows $open;

    public readonly string $today;

    private readonly Suppliers $suppliers;

    /** @var array<string, Delivery> by supplier and lead time */
    private array $byLead = [];

    /** @var array<string, Arrival> by supplier and lead time */
    private array $ifOrdered = [];

    /** @var array<string, int> usable from, by day and days of inspection */
    private array $usable = [];

    /** @var array<string, OpenWindows> by supplier and how far it was looked up */
    private array $worksOn = [];

    /** @param  int  $now  UTC minute */
    public function __construct(public readonly WorkingCalendar $plant, private readonly int $now)
    {
        $this->suppliers = new Suppliers($plant);
        $this->today = $plant->date($now);
        $this->open = $plant->windows($now - 120 * 1440, $now + self::AHEAD * 1440);
    }

    public static function now(): self
    {
        return new self(PlantCalendar::orEveryDay(), ShopState::minute(CarbonImmutable::now()));
    }

    /** Of what nothing is ordered for. */
    public function ifOrdered(LeadTime $lead): Arrival
    {
        return $this->ifOrdered[self::key($lead)] ??= new Arrival(
            $this->of($lead)->orderedOn($this->today),
            $lead->isKnown() ? Expected::IfOrdered : Expected::NoLeadTime,
        );
    }

    /**
     * The days somebody is likely to name when asked: the next three that are worked, and the one a week on.
     *
     * @return list<string> "YYYY-MM-DD"
     */
    public function likely(): array
    {
        return array_map(fn (int $days): string => $this->plant->workingDaysFrom($this->today, $days), [1, 2, 3, 5]);
    }

    /** The day it comes if it is ordered today. */
    public function comesOn(LeadTime $lead): string
    {
        return $this->of($lead)->comesOn($this->today);
    }

    /** The last day on which it can be ordered to be there by a minute. */
    public function orderBy(LeadTime $lead, int $neededAt): string
    {
        return $this->of($lead)->orderBy($neededAt);
    }

    /**
     * Of what is ordered.
     *
     * @param  string  $on  the day given
     * @param  string|null  $askAgainOn  nobody knows; it is asked again on that day
     * @param  int  $inspection  our working days until it is free, once it has come
     */
    public function ordered(string $on, ?string $askAgainOn = null, int $inspection = 0): Arrival
    {
        if ($on >= $this->today && $askAgainOn === null) {
            return new Arrival($this->usableAt($on, $inspection), on: $on);
        }

        $assumed = $this->assumedOn($askAgainOn);

        return new Arrival($this->usableAt($assumed, $inspection), Expected::Overdue, $on, $assumed);
    }

    /**
     * Of what came and is being looked at.
     *
     * @param  string  $cameOn  into inspection
     * @param  int  $days  our working days it takes, above 0
     */
    public function inspected(string $cameOn, int $days): Arrival
    {
        $freeOn = $this->plant->workingDaysFrom($cameOn, $days);
        if ($freeOn >= $this->today) {
            return new Arrival($this->usableAt($freeOn), on: $freeOn);
        }

        return new Arrival($this->usableAt($this->assumedOn()), Expected::Overdue, $freeOn, $this->assumedOn());
    }

    /**
     * Of pieces at a supplier: they come at the time of day at which they went.
     *
     * @param  string  $backAt  UTC
     * @param  string|null  $askAgainOn  nobody knows; it is asked again on that day
     */
    public function back(string $backAt, ?string $askAgainOn = null): Arrival
    {
        $at = ShopState::minute(CarbonImmutable::parse($backAt, 'UTC'));
        $on = $this->plant->date($at);
        if ($on >= $this->today && $askAgainOn === null) {
            return new Arrival($at);
        }
        $time = CarbonImmutable::parse($backAt, 'UTC')->setTimezone(config()->string('pace.zone'))->format('H:i');

        return new Arrival($this->plant->minute($this->assumedOn($askAgainOn), $time), Expected::Overdue, $on);
    }

    /**
     * When pieces sent now are to be back, on a day that is worked.
     *
     * @return string UTC
     */
    public function backFrom(CarbonImmutable $sent, ?int $supplier, int $leadTimeDays): string
    {
        $zone = config()->string('pace.zone');
        $sentAt = ShopState::minute($sent);
        $local = $this->worksOn($supplier, $sentAt) === null
            ? $sent->setTimezone($zone)->addDays($leadTimeDays)
            : CarbonImmutable::createFromTimestamp($this->workedFrom($sentAt, $supplier, $leadTimeDays) * 60, $zone);
        $on = $this->plant->workingDaysFrom($local->subDay()->toDateString(), 1);

        return $this->at($on, $local->format('H:i'));
    }

    /**
     * When a supplier has done days of work from a minute on: his working days where he has a calendar, else elapsed.
     *
     * @return int UTC minute
     */
    public function workedFrom(int $minute, ?int $supplier, int $days): int
    {
        $elapsed = $minute + $days * 1440;

        return $this->worksOn($supplier, $elapsed)?->finish($minute, $days * 1440) ?? $elapsed;
    }

    /** The days on which a supplier who has a calendar of his own works; null = he has none. */
    public function worksOn(?int $supplier, int $until): ?OpenWindows
    {
        if ($supplier === null || $this->suppliers->own($supplier) === null) {
            return null;
        }
        $until = max($until, $this->now + self::AHEAD * 1440);

        return $this->worksOn["{$supplier} {$until}"]
            ??= $this->suppliers->own($supplier)->wholeDays($this->now - 120 * 1440, $until);
    }

    /** @return string UTC of a time of the plant's clock */
    public function at(string $on, string $time): string
    {
        return gmdate('Y-m-d H:i:s', $this->plant->minute($on, $time) * 60);
    }

    /** The day something overdue is taken to come: not before it is asked for again. */
    public function assumedOn(?string $askAgainOn = null): string
    {
        $assumed = $this->plant->workingDaysFrom($this->today, Settings::whole(Setting::OverdueDays));

        return max($assumed, $askAgainOn ?? '');
    }

    public function usableAt(string $day, int $inspection = 0): int
    {
        return $this->usable["{$day} {$inspection}"] ??= $this->of(new LeadTime(1, null, $inspection))->usableAt($day);
    }

    private function of(LeadTime $lead): Delivery
    {
        return $this->byLead[self::key($lead)] ??= $this->made($lead);
    }

    private function made(LeadTime $lead): Delivery
    {
        $from = Settings::text(Setting::GoodsUsableFrom);

        return new Delivery(
            $this->plant,
            $this->suppliers->days($lead->supplier),
            $this->open,
            $lead->isKnown() ? $lead->days : Settings::whole(Setting::LeadTimeDays),
            $lead->inspection,
            usableFrom: $from === '' ? null : $from,
        );
    }

    private static function key(LeadTime $lead): string
    {
        return "{$lead->supplier} {$lead->days} {$lead->inspection}";
    }
}
