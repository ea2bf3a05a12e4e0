<?php

namespace App\Actions\Purchasing;

use App\Actions\Outside\BackDay;
use App\Actions\Outside\ChangeBack;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\ConsignmentLine;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;

/** One call: days of all that is at a supplier or due from them, typed down a sheet and saved at once. */
final class TypeDays
{
    /** Where they stand on the sheet. */
    private const LINES = 'lines';

    private const HANDFULS = 'back';

    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, TypedDay>  $lines  by purchase line
     * @param  array<int, TypedDay>  $handfuls  of pieces that are there, by consignment
     *
     * @throws Refused with a sentence beside each row that is wrong; nothing is written then
     */
    public function handle(int $supplier, array $lines, array $handfuls, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::PurchaseChanged, $signed, new Part(
            fn (): Needs => self::needs(array_keys($lines), array_keys($handfuls)),
            function (Ledger $ledger, Held $held) use ($supplier, $lines, $handfuls): void {
                if ($lines === [] && $handfuls === []) {
                    throw PurchaseRefused::nothingChanged();
                }
                $says = $wrong = [];
                foreach (self::typed($lines, $handfuls) as [$field, $id, $typed]) {
                    try {
                        $says[] = $field === self::LINES
                            ? self::line($ledger, $held, $supplier, $id, $typed)
                            : self::handful($ledger, $held, $supplier, $id, $typed);
                    } catch (Refused $refused) {
                        $wrong["{$field}.{$id}"] = $refused->getMessage();
                    }
                }
                if ($wrong !== []) {
                    throw new Refused($wrong);
                }
                $name = Supplier::query()->findOrFail($supplier)->name;
                $ledger->says("{$name} on the telephone: ".implode(' ', $says));
            },
        ));
    }

    /**
     * @param  list<int>  $lines
     * @param  list<int>  $handfuls
     */
    private static function needs(array $lines, array $handfuls): Needs
    {
        $ordered = PurchaseLine::query()->whereKey($lines);

        return array_reduce(
            $handfuls,
            fn (Needs $all, int $id): Needs => $all->and(ChangeBack::needs($id)),
            Needs::purchaseOrders($ordered->pluck('purchase_order_id'))
                ->and(Needs::orders($ordered->pluck('cost_order_id'))),
        );
    }

    /**
     * @param  array<int, TypedDay>  $lines
     * @param  array<int, TypedDay>  $handfuls
     * @return list<array{string, int, TypedDay}> where it stands on the sheet, its id, and what was typed
     */
    private static function typed(array $lines, array $handfuls): array
    {
        $all = [];
        foreach ($lines as $id => $typed) {
            $all[] = [self::LINES, $id, $typed];
        }
        foreach ($handfuls as $id => $typed) {
            $all[] = [self::HANDFULS, $id, $typed];
        }

        return $all;
    }

    private static function line(Ledger $ledger, Held $held, int $supplier, int $id, TypedDay $typed): string
    {
        $line = PurchaseLine::query()->findOrFail($id);
        $order = $held->purchaseOrder($line->purchase_order_id);
        if ($order->supplier_id !== $supplier || ! $line->is_open) {
            throw PurchaseRefused::complete($line->number);
        }
        $says = $typed->isUnknown
            ? ExpectedDay::unknown($line, $typed->on)
            : ExpectedDay::said($line, $typed->on, $line->asked_for);
        $line->save();
        $ledger->touch($order);

        return $says;
    }

    private static function handful(Ledger $ledger, Held $held, int $supplier, int $id, TypedDay $typed): string
    {
        $step = OrderStep::query()->findOrFail(ConsignmentLine::query()->findOrFail($id)->order_step_id);
        $order = $held->order($step->order_id);
        $handful = BackDay::assertAway($id, $step, $order);
        if ($step->supplier_id !== $supplier) {
            throw Refused::because('These pieces are at another supplier.');
        }
        $what = "{$order->number} {$step->label()}:";
        $says = $typed->isUnknown
            ? BackDay::unknown($handful, $what, $typed->on)
            : BackDay::said($handful, $what, $typed->on);
        $handful->save();
        $ledger->touch($order);

        return $says;
    }
}
