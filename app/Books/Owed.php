<?php

namespace App\Books;

use App\Models\Bill;
use App\Models\PurchaseLine;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;

/**
 * What of the goods that came is not to be paid, or was billed: what is left is owed to the supplier. The columns of a
 * purchase line are the sums of these entries.
 */
final class Owed implements Book
{
    private const UNPAID = 'unpaid';

    private const BILLED = 'billed';

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
        return [];
    }

    public function reverse(Undone $undone): void
    {
        foreach ($this->of($undone) as $row) {
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
        $column = $kind === self::UNPAID ? 'unpaid_quantity' : 'billed_quantity';
        PurchaseLine::query()->whereKey($line)->update([$column => DB::raw("{$column} + {$quantity}")]);
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
