<?php

namespace App\Actions\Usage;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use Brick\Math\BigDecimal;
use KeepPace\Core\Refused;

/** Takes components out of stores into released orders: all lines or none. */
final class IssueComponents
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<UseLine>  $lines  only lines above zero
     * @param  bool  $overPlan  more than planned was seen and is meant
     *
     * @throws Refused with a sentence beside each line that is wrong; nothing is booked then
     */
    public function handle(array $lines, bool $overPlan, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Issue, $signed, new Part(
            ComponentUse::needs($lines),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $lines, $overPlan, $signed->reason),
        ));
    }

    /**
     * The part of it: what the lines need is held.
     *
     * @param  list<UseLine>  $lines
     *
     * @throws Refused with a sentence beside each line that is wrong
     */
    public function write(Ledger $ledger, Held $held, array $lines, bool $overPlan, string $reason): void
    {
        if ($lines === []) {
            throw Refused::because('Nothing to issue: every quantity is empty or zero.');
        }
        $use = ComponentUse::for($ledger, $held, $lines);
        $this->take($use, $lines, $overPlan, $reason);
        $use->write();
        $ledger->questions->usedNow(self::taken($use, $lines));
        $orders = $use->orders();
        $ledger->concerns($orders->count() === 1 ? $orders->firstOrFail() : null);
        $ledger->says(
            count($lines)
                .(count($lines) === 1 ? ' component' : ' components')
                .' issued to '
                .self::names(array_values($orders->pluck('number')->all()))
                .'.',
        );
    }

    /**
     * @param  list<UseLine>  $lines
     *
     * @throws Refused with a sentence beside each line that is wrong
     */
    private function take(ComponentUse $use, array $lines, bool $overPlan, string $reason): void
    {
        $wrong = [];
        foreach ($lines as $line) {
            try {
                $use->take($line, $overPlan, $reason);
            } catch (Refused $refused) {
                $field = array_key_first($refused->reasons);
                $wrong["lines.{$line->key}.".(is_string($field) ? $field : 'quantity')] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
    }

    /** @param  list<string>  $numbers */
    private static function names(array $numbers): string
    {
        return count($numbers) > 6
            ? count($numbers).' orders, '.implode(', ', array_slice($numbers, 0, 3)).' and others'
            : collect($numbers)->join(', ', ' and ');
    }

    /**
     * @param  list<UseLine>  $lines
     * @return array<int, BigDecimal> in stock units, by component
     */
    private static function taken(ComponentUse $use, array $lines): array
    {
        $taken = [];
        foreach ($lines as $line) {
            if ($line->component !== null) {
                $taken[$line->component] = ($taken[$line->component] ?? BigDecimal::zero())->plus(
                    $use->item($line->item)->quantity($line->quantity, $line->unit)->amount,
                );
            }
        }

        return $taken;
    }
}
