<?php

namespace App\Actions\Usage;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use App\Models\Slip;
use App\Models\SlipLine;
use App\Models\SlipSplit;
use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Books a slip as one transaction: all its lines, or only what was picked; what was not stays on a slip of its own. */
final class BookSlip
{
    public function __construct(private readonly Bookings $bookings, private readonly IssueComponents $issue)
    {
    }

    /**
     * @param  bool  $pickedOnly  book what was picked, leave the rest
     *
     * @throws Refused with a sentence beside each line that is wrong
     */
    public function handle(
        int $id,
        int $version,
        bool $pickedOnly,
        bool $overPlan,
        Signed $signed,
    ): Booking {
        $signed = $signed->on(Slip::query()->findOrFail($id)->booked_on);

        return $this->bookings->once(BookingKind::Issue, $signed, new Part(
            fn (): Needs => Needs::slip($id)->and(ComponentUse::needs($this->lines($id, $pickedOnly))),
            function (Ledger $ledger, Held $held) use ($id, $version, $pickedOnly, $overPlan, $signed): void {
                $slip = KeepSlip::assertOpen($held->slip(), $version);
                $lines = $this->lines($id, $pickedOnly);
                $this->issue->write($ledger, $held, $lines, $overPlan, $signed->reason);
                $rest = $pickedOnly ? $this->rest($slip, $signed->person) : null;
                $slip->fill(['state' => 'booked', 'booking_id' => $ledger->booking->id])->save();
                $rest === null ?: $ledger->says("The rest is on slip {$rest->id}.");
            },
        ));
    }

    /** @return list<UseLine> */
    private function lines(int $slip, bool $pickedOnly): array
    {
        $lines = SlipLine::query()
            ->where('slip_id', $slip)
            ->where('is_out', false)
            ->orderBy('position')
            ->orderBy('id')
            ->with('splits')
            ->get()
            ->map(fn (SlipLine $line): ?UseLine => self::line($line, $pickedOnly));

        return array_values(array_filter($lines->all()));
    }

    /** Null of which nothing is taken, however that is typed. */
    private static function line(SlipLine $line, bool $pickedOnly): ?UseLine
    {
        $splits = $line->splits->filter(fn (SlipSplit $split): bool => ! $pickedOnly || $split->is_picked);
        $typed = $line->typed === '' ? '0' : $line->typed;
        $quantity = $pickedOnly ? self::sum(array_values($splits->pluck('typed')->all())) : $typed;
        if (is_numeric($quantity) && preg_match('/^[+-]?0*\.?0*$/', trim($quantity)) === 1) {
            return null;
        }
        $taken = fn (SlipSplit $split): array => [
            'code' => $split->code,
            'place' => $split->place_id,
            'quantity' => $split->typed,
        ];

        return new UseLine(
            (string) $line->id,
            $line->order_id,
            $line->component_id,
            $line->item_id,
            $line->step_number,
            $quantity,
            $pickedOnly || $line->unit === '' ? null : $line->unit,
            array_values($splits->map($taken)->all()),
            $line->reason,
        );
    }

    /** What was not picked goes on a slip of its own. */
    private function rest(Slip $slip, Person $by): ?Slip
    {
        $open = $slip
            ->lines()
            ->with('splits')
            ->get()
            ->filter(
                fn (SlipLine $line): bool => ! $line->is_out
                    && $line->splits->contains(fn (SlipSplit $split): bool => ! $split->is_picked),
            );
        if ($open->isEmpty()) {
            return null;
        }
        $rest = Slip::query()->create([
            'token' => "rest-of-{$slip->id}",
            'part' => $slip->part,
            'step_number' => $slip->step_number,
            'note' => $slip->note,
            'person_id' => $slip->person_id,
            'changed_by' => $by->id,
        ]);
        foreach ($open as $line) {
            $left = array_values($line->splits->reject(fn (SlipSplit $split): bool => $split->is_picked)->all());
            $sum = self::sum(array_map(fn (SlipSplit $split): string => $split->typed, $left));
            $new = $rest
                ->lines()
                ->create([
                    ...$line->only(['position', 'order_id', 'component_id', 'item_id', 'step_number', 'reason']),
                    'proposed' => $sum,
                    'typed' => $sum,
                ]);
            foreach ($left as $split) {
                $new->splits()->create($split->only(['code', 'place_id', 'typed']));
            }
        }

        return $rest;
    }

    /** @param  list<string>  $typed */
    private static function sum(array $typed): string
    {
        $sum = BigDecimal::zero();
        foreach ($typed as $one) {
            try {
                $sum = $sum->plus($one === '' ? '0' : $one);
            } catch (MathException) {
                return $one; // not a number: refused by core with what was typed
            }
        }

        return Amount::plain((string) $sum);
    }
}
