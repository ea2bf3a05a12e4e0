<?php

namespace App\Books;

use App\Models\Bill;
use App\Models\PurchaseLine;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Purchasing\PurchaseRefused;

/**
 * What of what came is not to be paid, or was billed: what is left is owed to the supplier. Of work it also has what
 * came and what is charged for it, for no goods move with it. The columns of a purchase line are the sums of these
 * entries.
 */
final class Owed implements Book
{
    private const UNPAID = 'unpaid';

    private const BILLED = 'billed';

    private const WORK = 'work';

    private const LATER = 'later';

    /** Columns that are the sums of quantities, and of cents, by kind. */
    private const SUMS = [
        self::UNPAID => ['unpaid_quantity', null],
        self::BILLED => ['billed_quantity', 'billed_cents'],
        self::WORK => ['received_quantity', 'work_cents'],
        self::LATER => [null, 'work_cents'],
    ];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    /** So many of what came are kept and not paid. */
    public function unpaid(PurchaseLine $line, BigDecimal $quantity): void
    {
        $this->write($line->id, self::UNPAID, $quantity, 0);
    }

    /** @param  int  $cents  to be paid for them */
    public function billed(PurchaseLine $line, BigDecimal $quantity, int $cents): void
    {
        $quantity->isZero() ?: $this->write($line->id, self::BILLED, $quantity, $cents);
    }

    /**
     * Work on so many pieces came.
     *
     * @param  int  $cents  charged for it, with its part of what does not depend on the pieces
     */
    public function work(PurchaseLine $line, BigDecimal $pieces, int $cents): void
    {
        $this->write($line->id, self::WORK, $pieces, $cents);
    }

    /** What was charged for the work is known otherwise now. */
    public function later(PurchaseLine $line, int $cents): void
    {
        $cents === 0 ?: $this->write($line->id, self::LATER, BigDecimal::zero(), $cents);
    }

    /** Cents booked for the work as it came, without what was known later. */
    public static function workBooked(PurchaseLine $line): int
    {
        $booked = DB::table('purchase_entries')->where('purchase_line_id', $line->id)->where('kind', self::WORK);

        return Row::sum($booked, 'cents')->toInt();
    }

    public function locks(Undone $undone): Needs
    {
        $bill = self::bill($undone);
        $needs = Needs::purchaseOrders(
            PurchaseLine::query()
                ->whereKey($this->of($undone)->map(fn (Row $row): int => $row->int('purchase_line_id')))
                ->pluck('purchase_order_id'),
        );

        return $bill === null ? $needs : $needs->and(Needs::bill($bill));
    }

    public function against(Undone $undone): array
    {
        $against = [];
        foreach ($this->of($undone)->filter(fn (Row $row): bool => $row->text('kind') === self::WORK) as $row) {
            $line = PurchaseLine::query()->findOrFail($row->int('purchase_line_id'));
            $isBilled = $line->billed_quantity !== '0.000000'
                && $line->owed()->isLessThan($row->decimal('quantity')->minus($this->unpaidWith($undone, $line->id)));
            $isBilled ? $against[] = PurchaseRefused::billedAlready($line->number)->getMessage() : null;
        }

        return $against;
    }

    public function reverse(Undone $undone): void
    {
        foreach ($this->of($undone) as $row) {
            $line = PurchaseLine::query()->findOrFail($row->int('purchase_line_id'));
            $this->ledger->touch($this->ledger->held()->purchaseOrder($line->purchase_order_id));
            $this->write(
                $row->int('purchase_line_id'),
                $row->text('kind'),
                $row->decimal('quantity')->negated(),
                -$row->int('cents'),
            );
        }
        if (self::bill($undone) !== null) {
            $bill = $this->ledger->held()->bill();
            $bill->lines()->update(['taken_quantity' => null, 'taken_cents' => null]);
            $bill->fill(['state' => BillState::Open, 'accepted_booking_id' => null]);
            $this->ledger->concernsBill($bill);
        }
    }

    /** That it had accepted. */
    private static function bill(Undone $undone): ?int
    {
        return Bill::query()->where('accepted_booking_id', $undone->booking->id)->first()?->id;
    }

    public function flush(): void
    {
    }

    private function write(int $line, string $kind, BigDecimal $quantity, int $cents): void
    {
        DB::table('purchase_entries')->insert([
            'booking_id' => $this->ledger->booking->id,
            'purchase_line_id' => $line,
            'kind' => $kind,
            'quantity' => (string) $quantity,
            'cents' => $cents,
        ]);
        [$ofQuantity, $ofCents] = self::SUMS[$kind];
        PurchaseLine::query()->whereKey($line)->update([
            ...($ofQuantity === null ? [] : [$ofQuantity => DB::raw("{$ofQuantity} + {$quantity}")]),
            ...($ofCents === null ? [] : [$ofCents => DB::raw("{$ofCents} + {$cents}")]),
        ]);
    }

    /** Pieces of a line that the same booking put down as not to be paid. */
    private function unpaidWith(Undone $undone, int $line): BigDecimal
    {
        $sum = BigDecimal::zero();
        foreach ($this->of($undone) as $row) {
            $isMine = $row->text('kind') === self::UNPAID && $row->int('purchase_line_id') === $line;
            $sum = $isMine ? $sum->plus($row->decimal('quantity')) : $sum;
        }

        return $sum;
    }

    /** @return Collection<int, Row> of the whole booking: none of its lines has an entry alone */
    private function of(Undone $undone): Collection
    {
        return $undone->isWhole
            ? Row::all(
                DB::table('purchase_entries')->where('booking_id', $undone->booking->id)->orderBy('id'),
                fn (Row $row): Row => $row,
            )
            : collect();
    }
}
