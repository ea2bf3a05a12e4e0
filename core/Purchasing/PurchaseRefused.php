<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use KeepPace\Core\Refused;

/** What is ordered from a supplier, and what was asked of it that cannot be. */
final class PurchaseRefused extends Refused
{
    public static function nothingToOrder(): self
    {
        return self::because('Nothing to order: type a quantity beside an item.');
    }

    public static function noSupplier(string $item): self
    {
        return self::because("{$item} has no supplier. Name one, or make it.");
    }

    public static function tooFew(string $supplier, string $least, string $asked): self
    {
        return self::because(
            "{$supplier} sells {$least} at least, {$asked} were asked for. Order more, or of another.",
        );
    }

    public static function retired(string $supplier): self
    {
        return self::because("{$supplier} is retired. Choose another supplier, or deal with them again first.");
    }

    /** @throws self when the order as it stands does not allow the deed */
    public static function unless(PurchaseDeed $deed, string $number, PurchaseState $state, bool $isChanged): void
    {
        $why = $deed->whyNot($number, $state, $isChanged);
        if ($why !== null) {
            throw self::because($why);
        }
    }

    public static function noAddress(string $supplier): self
    {
        return self::because(
            "No mail address of {$supplier} is known. Type one, or send the order on paper.",
            'to',
        );
    }

    /** @param  string  $came  with the unit */
    public static function cameAlready(string $field, string $came): self
    {
        return self::because("{$came} of it came already: order at least so many.", $field);
    }

    public static function neverSent(string $number): self
    {
        return self::because(
            "Purchase {$number} was never sent. Say on its page that it went on paper, or book this in without it.",
            'purchase_id',
        );
    }

    public static function wentBack(string $line): self
    {
        return self::because(
            "Some of what came on {$line} went back to the supplier since. Reverse that booking first.",
        );
    }

    public static function billedAlready(string $line): self
    {
        return self::because(
            "What came on {$line} is billed, and the bill is accepted. Reverse that first, or send the goods back.",
        );
    }

    public static function moreThanCame(string $line, string $came, string $asked): self
    {
        return self::because("{$came} came on {$line}, {$asked} cannot go back on it.", 'quantity');
    }

    public static function overIsAnswered(): self
    {
        return self::because('Say what becomes of it: take and pay, take unpaid, or give back.');
    }

    public static function answeredMeanwhile(string $answer): self
    {
        return self::because("This was answered meanwhile: {$answer}.");
    }

    /** @param  string  $left  still blocked, with the unit */
    public static function overIsGone(string $left): self
    {
        return self::because(
            "Only {$left} of it lie blocked where they came in. Put the rest back there, or answer on what there is.",
        );
    }

    public static function nothingCame(): self
    {
        return self::because('Type how much came beside what came.');
    }

    public static function restWithoutDay(): self
    {
        return self::because('Type the day on which the rest comes.');
    }

    public static function nothingChanged(): self
    {
        return self::because('Nothing was changed.');
    }

    public static function sameSupplier(string $supplier): self
    {
        return self::because("It is ordered of {$supplier} already. Choose another supplier.", 'supplier');
    }

    public static function notAsked(string $line): self
    {
        return self::because("{$line} has no difference that is asked about.");
    }

    public static function sameDay(): self
    {
        return self::because('It is expected on that day already.', 'expected_on');
    }

    public static function dayHasPassed(?string $field = 'expected_on'): self
    {
        return self::because('It cannot come before today.', $field);
    }

    public static function askLater(): self
    {
        return self::because('Ask again on a day after today.', 'expected_on');
    }

    public static function complete(string $number): self
    {
        return self::because("{$number} is complete: nothing of it is to come.");
    }

    public static function settleFirst(string $line): self
    {
        return self::because("The supplier answered {$line} otherwise: say first which holds.");
    }

    /** @param  string  $open  to come of it, with its unit */
    public static function notAPart(string $line, string $open): self
    {
        return self::because(
            "{$open} are to come of {$line}: ask for fewer of it, or for all of it sooner.",
            'quantity',
        );
    }

    public static function isWork(string $line): self
    {
        return self::because(
            "{$line} is work on pieces of ours: book them back at 'At suppliers'.",
            'purchase_id',
        );
    }

    public static function isMadeOfOurs(string $line): self
    {
        return self::because(
            "{$line} is made of parts of ours: book it in at 'At suppliers', where these are used up.",
            'purchase_id',
        );
    }

    public static function workStays(string $number): self
    {
        return self::because("{$number} is work on pieces of ours, and is done where their step is. Cancel it, and "
            .'order the work anew from the order.');
    }

    public static function otherItem(string $number): self
    {
        return self::because("Purchase {$number} is for another item. Choose the item it is for.", 'item');
    }
}
