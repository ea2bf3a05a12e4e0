<?php

namespace App\Actions\Usage;

use App\Actions\Questions\Questions;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use Brick\Math\BigDecimal;
use Closure;
use KeepPace\Core\Refused;

/** Takes components out of stores into released orders: all lines or none. */
final class IssueComponents
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<UseLine>|Closure(Ledger): list<UseLine>  $lines  only lines above zero; a slip is locked and read
     *     inside
     * @param  bool  $overPlan  more than planned was seen and is meant
     * @param  Closure(Booking): void|null  $after  in the same transaction, for the slip the lines come from
     *
     * @throws Refused with a sentence beside each line that is wrong; nothing is booked then
     */
    public function handle(
        array|Closure $lines,
        bool $overPlan,
        Signed $signed,
        ?Closure $after = null,
    ): Booking {
        return $this->bookings->once(
            BookingKind::Issue,
            $signed,
            function (Ledger $ledger) use ($lines, $overPlan, $after, $signed): void {
                $lines = $lines instanceof Closure ? $lines($ledger) : $lines;
                if ($lines === []) {
                    throw Refused::because('Nothing to issue: every quantity is empty or zero.');
                }
                $use = ComponentUse::for($ledger, $lines);
                $wrong = [];
                $value = 0;
                foreach ($lines as $line) {
                    try {
                        $use->take($line, $overPlan, $signed->reason);
                    } catch (Refused $refused) {
                        $field = array_key_first($refused->reasons);
                        $wrong[
                            "lines.{$line->key}.".(is_string($field) ? $field : 'quantity')
                        ] = $refused->getMessage();
                    }
                }
                if ($wrong !== []) {
                    throw new Refused($wrong);
                }
                $use->write();
                Questions::usedNow($ledger, self::taken($use, $lines));
                $orders = $use->orders();
                $ledger->concerns($orders->count() === 1 ? $orders->firstOrFail() : null);
                $ledger->says(
                    count($lines)
                        .(count($lines) === 1 ? ' component' : ' components')
                        .' issued to '
                        .self::names(array_values($orders->pluck('number')->all()))
                        .'.',
                );
                $after === null ?: $after($ledger->booking);
            },
        );
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
