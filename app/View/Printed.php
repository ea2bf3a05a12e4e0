<?php

namespace App\View;

use App\Access\Deed;
use App\Models\BookingKind;
use App\Shop\PlantDay;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigNumber;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Illuminate\Support\Facades\Gate;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\NoLongerFor;
use KeepPace\Core\Stock\Condition;

/**
 * How a value reads on a page: $print in every view. Who may not see money reads a dot where it would stand, on every
 * page by this one place.
 */
final class Printed
{
    private const HIDDEN = '•';

    /** Fields of product data that are money. */
    private const MONEY_FIELDS = ['cost', 'price', 'labour rate', 'machine rate', 'overhead percent',
        'overhead hour', 'overhead piece',
        'minimum order'];

    public function amount(BigNumber|string|int|null $of): string
    {
        return Figures::amount($of === null ? null : (string) $of);
    }

    /** As amount(), nothing where it is none. */
    public function some(BigNumber|string|int|null $of): string
    {
        $amount = $this->amount($of);

        return $amount === '0' ? '' : $amount;
    }

    public function money(int|string $cents): string
    {
        return $this->seesMoney() ? Figures::money((int) $cents) : self::HIDDEN;
    }

    /** Money as an exact amount: a price, a rate. */
    public function price(BigNumber|string|int|null $of): string
    {
        return match (true) {
            $of === null => '',
            $this->seesMoney() => Figures::price((string) $of),
            default => self::HIDDEN,
        };
    }

    /** A sentence of a booking: what it says of money is hidden with it. */
    public function says(?string $sentence): string
    {
        $sentence = (string) $sentence;
        if (! str_contains($sentence, '€') || $this->seesMoney()) {
            return $sentence;
        }

        return (string) preg_replace('/-?\d[\d,\x{202F}]*(?:\.\d+|(?= €))/u', self::HIDDEN, $sentence);
    }

    /** What stood in a field of product data. */
    public function field(string $name, string $value): string
    {
        // "cost", "step 40, price", "prices of S-07", "sales prices"
        $last = array_slice(explode(', ', str_replace('_', ' ', $name)), -1)[0];
        $isMoney = in_array($last, self::MONEY_FIELDS, true) || preg_match('/^(sales )?prices( of |$)/', $last) === 1;

        return $isMoney && ! $this->seesMoney() ? self::HIDDEN : $value;
    }

    /** "lead time days from 4 to 6" */
    public function change(string $field, string $before, string $after): string
    {
        return "{$field} from {$this->field($field, $before)} to {$this->field($field, $after)}";
    }

    public function seesMoney(): bool
    {
        return Gate::allows(Deed::SeeMoney->value);
    }

    /**
     * "1 order", "3 orders";
     *
     * @param  string|null  $none  said in place of "0 orders"
     */
    public function count(int $count, string $one, string $many, ?string $none = null): string
    {
        return match (true) {
            $count === 0 && $none !== null => $none,
            $count === 1 => "1 {$one}",
            default => "{$count} {$many}",
        };
    }

    public function number(int $of): string
    {
        return Figures::whole($of);
    }

    /** @return array<string, string> by what a charge can be spread, by what is sent */
    public function spreads(): array
    {
        $labels = [];
        foreach (SpreadBy::cases() as $by) {
            $labels[$by->value] = $by->label();
        }

        return $labels;
    }

    /** @return array<string, string> labels of the conditions stock can be in, by what is sent */
    public function conditions(): array
    {
        $labels = [];
        foreach (Condition::cases() as $condition) {
            $labels[$condition->value] = $condition->label();
        }

        return $labels;
    }

    /** @return array<string, string> whose fault spoiled pieces can be, by what is sent */
    public function whose(): array
    {
        $labels = ['' => '–'];
        foreach (Whose::cases() as $whose) {
            $labels[$whose->value] = $whose->label();
        }

        return $labels;
    }

    /** @return array<string, string> how goods can come in */
    public function comesAs(): array
    {
        return ['usual' => 'as the item says', ...$this->conditions()];
    }

    /** @return array<string, string> what becomes of what nobody wants, by what is sent */
    public function noLongerFor(): array
    {
        $labels = [];
        foreach (NoLongerFor::cases() as $case) {
            $labels[$case->value] = $case->label();
        }

        return $labels;
    }

    /** Open hours with one place: "12.5". */
    public function hours(int|string|null $minutes): string
    {
        return Figures::hours((int) $minutes);
    }

    /** What kind of booking it was. */
    public function kind(BookingKind|string $kind): string
    {
        return ($kind instanceof BookingKind ? $kind : BookingKind::from($kind))->label();
    }

    /** When something is back or here, by what it rests on. */
    public function arrival(Arrival $arrival): string
    {
        return ArrivalWords::day($arrival);
    }

    public function minutes(int|string $minutes): string
    {
        return Figures::minutes((int) $minutes);
    }

    /** By the clock, in days where it is long. */
    public function elapsed(int $minutes): string
    {
        return Figures::elapsed($minutes);
    }

    /** "7 h 21": how long the plant works in a day, which pace() counts in. */
    public function workingDay(): string
    {
        return Figures::minutes(PlantDay::minutes());
    }

    /** @param  int|string  $late  minutes the plant works */
    public function pace(int|string $late): string
    {
        return PlantDay::pace((int) $late);
    }

    public function when(DateTimeInterface|string|int|null $time): string
    {
        return When::say($time);
    }

    /** As when(), with its time however far away: for tables whose days would not tell their rows apart. */
    public function exact(DateTimeInterface|string|int|null $time): string
    {
        return When::exact($time);
    }

    public function day(DateTimeInterface|string|int|null $date): string
    {
        return When::day($date);
    }

    public function onDay(DateTimeInterface|string|int $date): string
    {
        return When::onDay($date);
    }

    public function span(DateTimeInterface|string|int $from, DateTimeInterface|string|int $to): string
    {
        return When::span($from, $to);
    }

    /** "Fri 4 Dec 2026", of "2026-12-04". */
    public function dayOf(string $date): string
    {
        return When::dayOf($date);
    }

    /** With its date, year and time. */
    public function moment(DateTimeInterface|string|int $time): string
    {
        return When::full($time);
    }

    public function ago(DateTimeInterface|string|null $time): string
    {
        return When::ago($time);
    }

    public function local(DateTimeInterface|string|int $time): CarbonImmutable
    {
        return When::local($time);
    }

    public function today(): CarbonImmutable
    {
        return When::today();
    }
}
