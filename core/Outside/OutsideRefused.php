<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Why pieces do not go to a supplier, or do not come back, in sentences with the figures and the way on. */
final class OutsideRefused extends Refused
{
    /**
     * @param  BigDecimal  $there  with the supplier by the books
     * @param  BigDecimal  $here  at the step and never sent
     */
    public static function moreThanIsThere(
        BigDecimal $came,
        BigDecimal $there,
        BigDecimal $here,
        string $step,
    ): self {
        $figures = Amount::plain($came).' came back from '.$step.', '.Amount::plain($there).' are there by the books';
        $way = $here->isPositive()
            ? '; '.Amount::plain($here).' more stand here and were never sent out. Book their send-out first.'
            : '. Count again.';

        return self::because($figures.$way, 'good');
    }

    public static function withTheSupplier(BigDecimal $there, string $step): self
    {
        return self::because(
            Amount::plain($there)." pieces are with the supplier of {$step}. Book them back, or take the booking that "
                .'sent them back first.',
        );
    }

    public static function noWork(): self
    {
        return self::because('Say the work of which step is to be ordered.');
    }

    public static function workIsOrdered(string $what): self
    {
        return self::because("The work of {$what} is ordered already, all of it.");
    }

    public static function noPrice(string $supplier, string $service, string $step): self
    {
        return self::because("{$supplier} has no price for {$service}. Type what it costs on the page of the service, "
            ."or have another supplier do {$step}.");
    }

    public static function alreadyThere(string $supplier, string $step): self
    {
        return self::because("{$supplier} does {$step} already. Choose another supplier.", 'supplier_id');
    }

    public static function haveThemBack(BigDecimal $there, string $step, string $supplier): self
    {
        return self::because(
            Amount::plain($there)." of {$step} are with {$supplier}. Have them back as they are first, or split off "
                .'what is to go elsewhere.',
            'supplier_id',
        );
    }

    public static function noneGoesOn(): self
    {
        return self::because('Type how many are good: only these go straight on.', 'good');
    }

    public static function notLast(string $step, string $next): self
    {
        return self::because("After {$step} comes {$next}: from here nothing goes to the customer.", 'onward');
    }

    public static function notDone(string $step, string $next): self
    {
        return self::because("After {$step} comes {$next}: they are not done for who waits for them.", 'onward');
    }

    public static function nobodyNext(string $step): self
    {
        return self::because("{$step} is the last: have them back, or send them straight to the customer.", 'onward');
    }

    public static function nextIsHere(string $next): self
    {
        return self::because("{$next} is done here: have them back.", 'onward');
    }

    public static function nothingCame(): self
    {
        return self::because('Say how many came back: good, spoiled there, lost, or as they went.', 'good');
    }

    public static function unexplained(): self
    {
        return self::because('Say why pieces were spoiled or lost.', 'reason');
    }

    public static function whose(): self
    {
        return self::because('Say whose fault it was: theirs, ours, or open until somebody says.', 'whose');
    }

    public static function claimIs(ClaimState $state): self
    {
        return self::because("That claim is {$state->label()}: look at it again.");
    }

    public static function noPart(string $item): self
    {
        return self::because(
            "{$item} cannot go along: choose an item that lies in stores and is not what is bought.",
            'item',
        );
    }

    public static function partWent(string $item, string $line): self
    {
        return self::because("Some of {$item} went along for {$line} already.", 'each');
    }

    public static function notOfThePart(string $item): self
    {
        return self::because("What was chosen is not {$item}, or does not lie free in stores any more.");
    }

    /** @param  string  $unit  of the part */
    public static function moreUsedThanThere(
        BigDecimal $used,
        BigDecimal $there,
        string $unit,
        string $item,
        string $field,
    ): self {
        return self::because(
            Amount::plain($used)." {$unit} {$item} would be used or come back, ".Amount::plain($there)." {$unit} are "
                .'there by the books. Count again, or book the send-out that is missing.',
            $field,
        );
    }

    public static function notOurs(string $item): self
    {
        return self::because("{$item} is not supplied by us: nothing of ours goes along for it.", 'quantity');
    }

    public static function moreThanItTakes(BigDecimal $wanted, BigDecimal $open, string $what): self
    {
        return self::because(
            Amount::plain($wanted).' is more than the '.Amount::plain($open)." still wanted of {$what}.",
            'quantity',
        );
    }

    public static function stillAlong(BigDecimal $there, string $what, string $order): self
    {
        return self::because(Amount::plain($there)." {$what} that went along for {$order} are with the supplier by the "
            ."books. Book what came back unused, or what was used, at 'At suppliers' first.");
    }

    public static function nothingAlong(string $field): self
    {
        return self::because('Nothing of it is with the supplier by the books: leave it empty.', $field);
    }

    public static function nothingLeft(): self
    {
        return self::because('Nothing of it is left there any more.');
    }

    public static function nothingThere(string $number): self
    {
        return self::because("No pieces of {$number} are with the supplier: send them out first.");
    }

    public static function answeredThere(): self
    {
        return self::because('Choose what becomes of it: it stays, comes back, was used, or is lost.');
    }

    public static function answeredOnClaims(): self
    {
        return self::because("Whose fault it was is said on the page 'Claims'.");
    }

    /** @param  string  $claimed  euros */
    public static function creditOutOfBounds(string $claimed): self
    {
        return self::because("A credit is more than nothing and no more than the {$claimed} € claimed.", 'euros');
    }

    public static function unsaid(): self
    {
        return self::because('Say why nothing is credited.', 'reason');
    }

    public static function nothingSent(): self
    {
        return self::because('Nothing is to go: say how many of one step at least.');
    }

    public static function atAnother(string $what, string $supplier): self
    {
        return self::because("{$what} is not done at {$supplier}. Look at the list again: it may have been moved.");
    }

    /**
     * More than stand there, but pieces at the step before could be counted through.
     *
     * @param  BigDecimal  $here  stand at the step and were not sent
     * @param  BigDecimal  $before  pieces at the step before
     */
    public static function notPassedOn(
        BigDecimal $wanted,
        BigDecimal $here,
        string $what,
        BigDecimal $before,
        string $stepBefore,
    ): self {
        return self::because(
            Amount::plain($wanted)." to go, {$what} has ".Amount::plain($here).' here. '
                .Amount::plain($before)." more stand at {$stepBefore}: tick 'count through' if they are done.",
        );
    }

    /** @param  BigDecimal  $has  pieces that could go at all */
    public static function moreThanItHas(BigDecimal $wanted, BigDecimal $has, string $what): self
    {
        return self::because(
            Amount::plain($wanted)." to go, {$what} has ".Amount::plain($has).' that can go: no more were made of it.',
        );
    }
}
