<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Refused;

/** What the steps of an order do not allow: where they stand, what they take, and what has reached them. */
final class StepRefused extends Refused
{
    public static function noSuchStep(string $order, int $step): self
    {
        return self::because("Order {$order} has no step {$step}.", 'step_number');
    }

    public static function isHere(string $step): self
    {
        return self::because("Step {$step} is done in the shop already.");
    }

    public static function noTimeHere(string $step): self
    {
        return self::because(
            "Say how long {$step} takes here: nothing is known of it but the supplier's days.",
            'run_rate',
        );
    }

    public static function noServiceFor(string $step): self
    {
        return self::because("Step {$step} is done in the shop, and its routing names no service a supplier could do "
            .'it by. Name one on the routing, or for this order alone take the step out and buy the work by words.');
    }

    public static function begunHere(string $step): self
    {
        return self::because(
            "Step {$step} is begun here. Count what is done, and split off what is to go to a supplier.",
        );
    }

    public static function elsewhere(string $step, bool $isOutside): self
    {
        return self::because(
            $isOutside
                ? "Step {$step} is done at a supplier. Who receives it books what comes back: Floor, Stations, below."
                : "Step {$step} is done in the shop. It is counted at its station.",
        );
    }

    public static function stepDone(int $step): self
    {
        return self::because("Step {$step} is done. Change a step that is still open.");
    }

    public static function noRate(): self
    {
        return self::because('Units per hour must be above 0.', 'run_rate');
    }

    public static function noRatesYet(string $order): self
    {
        return self::because(
            "Order {$order} is not released: it takes the overhead its work centres have then. Release it first.",
            'overhead_percent',
        );
    }

    public static function overheadUnexplained(int $step): self
    {
        return self::because("Say why step {$step} has another overhead than its work centre.", 'reason');
    }

    public static function putTogether(string $order): self
    {
        return self::because(
            "Order {$order} is put together without steps, and its pieces are on their way: give it none any more.",
            'number',
        );
    }

    public static function stepThere(string $order, int $step): self
    {
        return self::because(
            "Order {$order} has a step {$step} already. Choose a number between two others.",
            'number',
        );
    }

    public static function reached(string $step): self
    {
        return self::because(
            "Pieces have reached {$step} already. A new step comes after it, before any are received.",
            'number',
        );
    }

    public static function stepStays(string $step): self
    {
        return self::because("Pieces have reached {$step}, so it stays. Reverse what is booked on it first.");
    }

    public static function onlyStep(string $order, string $step): self
    {
        return self::because("{$step} is the only one of order {$order}. Add another first.");
    }

    public static function runsAlready(string $order, string $step): self
    {
        return self::because("{$order} {$step} is running already.");
    }

    public static function lastStep(): self
    {
        return self::because(
            'This is the last step: its good pieces are received into stock, not passed on.',
            'pass_on',
        );
    }

    public static function setUpAlone(): self
    {
        return self::because('This step is set up by itself already.');
    }

    public static function sharesStay(string $order): self
    {
        return self::because(
            "Order {$order} is released: what it should cost is frozen, and so is what each pays of the set-up.",
        );
    }

    public static function setUpWithOthers(string $step): self
    {
        return self::because("{$step} is set up with steps of other orders. Let it be set up by itself first.");
    }
}
