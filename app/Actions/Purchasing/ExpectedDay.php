<?php

namespace App\Actions\Purchasing;

use App\Actions\Outside\BackDay;
use App\Books\Said;
use App\Models\PurchaseLine;
use KeepPace\Core\Purchasing\PurchaseRefused;

/** The day on which a purchase line comes, as somebody said it; what was said before is kept beside. */
final class ExpectedDay
{
    /**
     * @param  string  $on  "YYYY-MM-DD"
     * @param  string|null  $askedFor  the day we have asked for, where it is hurried
     * @return string what was said, in a sentence
     *
     * @throws PurchaseRefused for a day that has passed, or nothing new
     */
    public static function said(PurchaseLine $line, string $on, ?string $askedFor): string
    {
        $before = $line->expected_on;
        if ($before === $on && $line->asked_for === $askedFor && $line->ask_again_on === null) {
            throw PurchaseRefused::sameDay();
        }
        if ($on < self::today()) {
            throw PurchaseRefused::dayHasPassed();
        }
        $line->fill(['expected_on' => $on, 'asked_for' => $askedFor, 'ask_again_on' => null]);
        if ($before !== $on) {
            $line->first_expected_on ??= $before;
            $line->days_passed += $before < self::today() ? 1 : 0;
            ! $line->isWork() ?: BackDay::ofWork($line, $on);
        }
        $asked = $askedFor === null ? 'no longer hurried' : 'asked for '.Said::day($askedFor);

        return "{$line->number}: "
            .($before === $on
                ? "{$asked}, expected on ".Said::day($on)
                : 'expected on '.Said::day($on).', before '.Said::day($before))
            .'.';
    }

    /**
     * Nobody knows it.
     *
     * @param  string  $again  the day on which the supplier is asked again
     * @return string what was said, in a sentence
     *
     * @throws PurchaseRefused for a day that has come
     */
    public static function unknown(PurchaseLine $line, string $again): string
    {
        if ($again <= self::today()) {
            throw PurchaseRefused::askLater();
        }
        $line->ask_again_on = $again;

        return "{$line->number}: nobody knows when it comes; asked again on ".Said::day($again).'.';
    }

    private static function today(): string
    {
        return now(config()->string('pace.zone'))->toDateString();
    }
}
