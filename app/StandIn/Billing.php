<?php

namespace App\StandIn;

use App\Actions\Billing\EnterBill;
use App\Actions\Billing\TypedBill;
use App\Actions\Billing\TypedBillLine;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\PurchaseOrder;
use App\Queries\Billing\NotBilled;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** A supplier of the demo bills what he brought. */
final readonly class Billing
{
    private const FREIGHT = 4850; // cents

    private const DAYS_TO_PAY = 29;

    public function __construct(private EnterBill $enter)
    {
    }

    /**
     * What came of one order and stands on no bill.
     *
     * @throws Refused when there is nothing to bill
     */
    public function handle(PurchaseOrder $order, Turn $turn, Signed $signed): Booking
    {
        $today = CarbonImmutable::now(config()->string('pace.zone'));
        $lines = NotBilled::on($today->toDateString(), $order->supplier_id)
            ->filter(fn (NotBilled $line): bool => $line->orderId === $order->id && $line->canBeBilled());
        if ($lines->isEmpty()) {
            throw BillRefused::nothingOnIt();
        }

        $number = "R-{$order->number}-{$order->version}";

        return $this->bill($order->supplier_id, $lines->values(), $number, $turn, $signed);
    }

    /**
     * @param  Collection<int, NotBilled>  $lines
     * @param  string  $number  the supplier's
     *
     * @throws Refused
     */
    public function bill(int $supplier, Collection $lines, string $number, Turn $turn, Signed $signed): Booking
    {
        $today = CarbonImmutable::now();
        $rows = array_values($lines->map(fn (NotBilled $line, int $i): TypedBillLine => TypedBillLine::goods(
            'lines',
            $line->lineId,
            Amount::plain($line->owed),
            $line->unit,
            $turn === Turn::BillDearer && $i === 0 ? self::dearer($line) : (string) $line->each(),
        ))->all());
        if ($turn === Turn::BillFreight) {
            $rows[] = TypedBillLine::charge('charges', 'freight', self::FREIGHT, SpreadBy::Value);
        }
        $billedOn = $today->subDay()->toDateString();
        $dueOn = $today->addDays(self::DAYS_TO_PAY)->toDateString();

        return $this->enter->handle([new TypedBill($supplier, $number, $billedOn, $dueOn, null, $rows)], $signed);
    }

    private static function dearer(NotBilled $line): string
    {
        return (string) $line->each()->multipliedBy('1.03')->toScale(4, RoundingMode::HALF_UP);
    }
}
