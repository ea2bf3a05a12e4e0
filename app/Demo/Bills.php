<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Actions\Billing\EnterBill;
use App\Actions\Billing\TypedBill;
use App\Actions\Billing\TypedBillLine;
use App\Models\Bill;
use App\Models\PurchaseLine;
use App\Queries\Billing\NotBilled;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Quantity\Amount;

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

    public function __construct(private readonly EnterBill $enter, private readonly AcceptBill $accept)
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
            $this->tries->of(fn () => $this->enter->handle(
                [$this->bill((int) $supplier, $lines, $today)],
                $this->staff->signs(Role::CostClerk),
            ));
        }
    }

    /** @param  Collection<int, NotBilled>  $lines */
    private function bill(int $supplier, Collection $lines, CarbonImmutable $today): TypedBill
    {
        $number = ++$this->count;
        $rows = array_values($lines->map(fn (NotBilled $line, int $i): TypedBillLine => TypedBillLine::goods(
            'lines',
            $line->lineId,
            Amount::plain($line->owed),
            PurchaseLine::query()->with('item.unit')->findOrFail($line->lineId)->item->unit->code,
            $number % self::EVERY === 1 && $i === $lines->keys()->first() ? self::dearer($line) : (string) $line->price,
        ))->all());
        if ($number % self::EVERY === 2) {
            $rows[] = TypedBillLine::charge('charges', 'freight', 4850, SpreadBy::Value);
        }

        return new TypedBill(
            $supplier,
            "R-{$number}",
            $today->subDays(1)->toDateString(),
            $today->addDays(29)->toDateString(),
            null,
            $rows,
        );
    }

    private static function dearer(NotBilled $line): string
    {
        return (string) $line->price->multipliedBy('1.03')->toScale(4, RoundingMode::HALF_UP);
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
