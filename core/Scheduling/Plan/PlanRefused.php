<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Refused;

/** What a plan, a what-if or a held date does not allow. */
final class PlanRefused extends Refused
{
    /** @param  list<string>  $lost  steps that would find no open time */
    public static function noOpenTime(array $lost): self
    {
        return self::because(
            'It would leave no open time: '
                .implode(' ', array_slice($lost, 0, 5))
                .' Keep it all the same, or leave time open.',
            'anyway',
        );
    }

    public static function planGone(): self
    {
        return self::because('That plan is not there any more.');
    }

    public static function whatIfGone(): self
    {
        return self::because('That what-if is not there any more.');
    }

    /** @param  int  $most  what-ifs that may be kept */
    public static function noRoom(int $most): self
    {
        return self::because("{$most} what-if plans are kept already. Throw one away first.");
    }

    public static function bookedSince(): self
    {
        return self::because(
            'Something was booked since this was worked out. Work it out again, look at what it does now, then let it '
                .'go live.',
        );
    }

    /** @param  string  $lever  in words */
    public static function neverFact(string $lever): self
    {
        return self::because(
            "{$lever}: a plan cannot make that true. Change the work centre or the step first, then search again.",
        );
    }

    public static function changedMeanwhile(string $who, string $what): self
    {
        return self::because(
            "{$who} changed the plan meanwhile: {$what} Look at it as it is now, then do it again if you still want "
                .'to.',
        );
    }

    public static function loadedAlready(): self
    {
        return self::because('The plan was loaded by rank already, and nothing was booked since.');
    }

    public static function nothingToUndo(): self
    {
        return self::because('Nothing on this plan is left to undo.');
    }

    public static function nothingToRedo(): self
    {
        return self::because('Nothing is left to do again.');
    }

    public static function noPlace(): self
    {
        return self::because('That step is done, or its order is held: it has no place in the plan.');
    }

    /** @param  list<string>  $against  what speaks against it */
    public static function notPinned(array $against): self
    {
        return self::because('It cannot be pinned there. '.implode(' ', $against));
    }

    public static function noPin(): self
    {
        return self::because('That step is not pinned.');
    }

    public static function searching(): self
    {
        return self::because('A search runs already. Stop it, or wait for it, first.');
    }

    public static function allInStock(): self
    {
        return self::because('All of it is in stock: cover the line from stock instead of holding a date.');
    }

    /** @param  string  $finish  when it would be now, in the plant's time */
    public static function dateGone(string $finish): self
    {
        return self::because(
            'That date is not to be had any more: somebody took the time meanwhile. Now it would be '.$finish.'.',
        );
    }

    public static function notHeld(): self
    {
        return self::because('That is not held any more.');
    }
}
