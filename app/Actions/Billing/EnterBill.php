<?php

namespace App\Actions\Billing;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Bill;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use Brick\Math\BigDecimal;
use Illuminate\Database\UniqueConstraintViolationException;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** Puts suppliers' bills down: nothing of them is booked before somebody has looked at it. */
final class EnterBill
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  non-empty-list<TypedBill>  $bills  all of them, or none
     *
     * @throws Refused with a sentence beside each line that is wrong, or where a number came before
     */
    public function handle(array $bills, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::BillEntered, $signed, Part::writing(
            function (Ledger $ledger) use ($bills): void {
                foreach ($bills as $typed) {
                    $ledger->says(self::write($ledger, $typed));
                }
            },
        ));
    }

    /**
     * @return string what was put down
     *
     * @throws Refused
     */
    private static function write(Ledger $ledger, TypedBill $typed): string
    {
        $supplier = Supplier::query()->findOrFail($typed->supplier);
        $rows = self::rows($typed);
        $cents = array_sum(array_column($rows, 'cents'));
        if ($typed->total !== null && $typed->total !== $cents) {
            throw BillRefused::otherTotal(Said::euros($cents), Said::euros($typed->total));
        }
        $bill = self::entered($typed, $supplier, $cents);
        $bill->lines()->createMany($rows);
        $ledger->concernsBill($bill);

        return "{$bill->word()} {$bill->number} of {$supplier->name}, ".Said::euros($cents).' €, of '
            .Said::day($bill->billed_on).': '.count($rows).(count($rows) === 1 ? ' line.' : ' lines.');
    }

    /** @throws Refused when that supplier sent one of this number before */
    private static function entered(TypedBill $typed, Supplier $supplier, int $cents): Bill
    {
        $before = fn (): ?Bill => Bill::query()
            ->where('supplier_id', $supplier->id)
            ->where('number_key', Code::keyOf($typed->number))
            ->where('state', '<>', BillState::Refused)
            ->first();
        $found = $before();
        try {
            return $found === null ? Bill::query()->create([
                'supplier_id' => $supplier->id,
                'number' => Code::of($typed->number, 'number')->typed,
                'billed_on' => $typed->billedOn,
                'due_on' => $typed->dueOn,
                'cents' => $cents,
                'state' => BillState::Open,
                'version' => 0,
            ]) : throw BillRefused::sentBefore(
                $supplier->name,
                $found->number,
                Said::day($found->billed_on),
                $found->state->label(),
            );
        } catch (UniqueConstraintViolationException) {
            throw Refused::because("Somebody enters {$typed->number} in this very moment. Look at that one.", 'number');
        }
    }

    /**
     * @return non-empty-list<array<string, mixed>>
     *
     * @throws Refused
     */
    private static function rows(TypedBill $typed): array
    {
        $rows = $wrong = [];
        foreach ($typed->lines as $i => $line) {
            try {
                $rows[] = ['position' => $i + 1] + self::row($line, $typed->supplier);
            } catch (Refused $refused) {
                $wrong[$line->field] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }

        return $rows === [] ? throw BillRefused::nothingOnIt() : $rows;
    }

    /** @return array<string, mixed> */
    private static function row(TypedBillLine $line, int $supplier): array
    {
        if ($line->purchase === null) {
            return [
                'says' => $line->says,
                'cents' => $line->cents,
                'spread_by' => $line->spreadBy,
                'receipt_booking_id' => $line->receipt,
            ];
        }
        $purchase = PurchaseLine::query()
            ->with('order', 'typedUnit', 'item.unit', 'item.units.unit')
            ->findOrFail($line->purchase);
        if ($purchase->order->supplier_id !== $supplier) {
            throw BillRefused::notTheirs($purchase->number);
        }
        $unit = $line->unit ?? $purchase->typedUnit->code ?? $purchase->item->unit->code;
        $isCredit = BigDecimal::of($line->quantity)->isNegative();
        $quantity = $purchase->item->quantity(ltrim($line->quantity, '-'), $unit)->amount;

        return [
            'purchase_line_id' => $purchase->id,
            'quantity' => (string) ($isCredit ? $quantity->negated() : $quantity),
            'typed_quantity' => $line->quantity,
            'typed_unit' => $unit,
            'typed_price' => $line->price,
            'cents' => Cents::of(BigDecimal::of($line->quantity), $line->price),
        ];
    }
}
