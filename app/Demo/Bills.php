<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Models\Bill;
use App\Queries\Billing\NotBilled;
use App\StandIn\Billing;
use App\StandIn\Turn;
use Carbon\CarbonImmutable;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Purchasing\Holds;

/**
 * What suppliers bill in the story: on Fridays all that came up to the week before, most of it as it was agreed. The
 * newest bills wait to be looked at.
 */
final class Bills
{
    /** Of so many bills one asks for more than was agreed, and one charges freight. */
    private const EVERY = 4;

    private Staff $staff;

    private Tries $tries;

    private int $count = 2200;

    public function __construct(private readonly Billing $suppliers, private readonly AcceptBill $accept)
    {
    }

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->tries = $tries;
    }

    public function week(): void
    {
        $today = CarbonImmutable::now();
        if (! $today->isFriday()) {
            return;
        }
        foreach (Bill::query()->with('lines.purchase')->where('state', BillState::Open)->get() as $bill) {
            $this->tries->of(fn () => $this->accept->handle(
                $bill->id,
                $bill->version,
                self::holds($bill),
                $this->staff->signs(Role::CostClerk),
            ));
        }
        // what came in the last days is billed next week
        $before = NotBilled::on($today->subDays(5)->toDateString())->pluck('lineId')->all();
        $came = NotBilled::on($today->toDateString())
            ->filter(fn (NotBilled $line): bool => $line->owed->isPositive())
            ->whereIn('lineId', $before)
            ->groupBy('supplierId');
        foreach ($came as $supplier => $lines) {
            $number = ++$this->count;
            $turn = match ($number % self::EVERY) {
                1 => Turn::BillDearer,
                2 => Turn::BillFreight,
                default => Turn::Bill,
            };
            $signed = $this->staff->signs(Role::CostClerk);
            $this->tries->of(fn () => $this->suppliers->bill(
                (int) $supplier,
                $lines->values(),
                "R-{$number}",
                $turn,
                $signed,
            ));
        }
    }

    /** @return array<int, Holds> theirs, where all of it is here */
    private static function holds(Bill $bill): array
    {
        $holds = [];
        foreach ($bill->lines as $line) {
            $billed = $line->compared();
            $billed === null ?: $holds[$line->id] = $billed->notHere()->isZero() ? Holds::Theirs : Holds::Ours;
        }

        return $holds;
    }
}
