<?php

namespace App\StandIn;

use App\Actions\Outside\ComesMade;
use App\Actions\Outside\TypedMade;
use App\Actions\Purchasing\Delivered;
use App\Actions\Purchasing\ReceiveDelivery;
use App\Actions\Stock\Arrival;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\SupplierItem;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Purchasing\RestOfLine;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\Tracking;

/** A supplier of the demo brings what was ordered, or what he has. */
final readonly class Bringing
{
    /** Of what was ordered, as parts of one. */
    private const PART = ['whole' => '1', 'half' => '0.5', 'short' => '0.8', 'over' => '1.2'];

    private const REST = 3; // days that are worked until the rest comes

    public function __construct(private ReceiveDelivery $receive, private ComesMade $made)
    {
    }

    /** @throws Refused when nothing of the order is to come */
    public function handle(PurchaseOrder $order, Turn $turn, Signed $signed): Booking
    {
        $place = (int) Place::query()->where('kind', PlaceKind::Store->value)->orderBy('id')->value('id');
        $rows = [];
        $made = null;
        foreach ($order->lines()->with('item.unit', 'parts')->where('is_open', true)->get() as $line) {
            $open = $line->openQuantity();
            if ($line->parts->isNotEmpty()) {
                $made = $this->made($line, $open, $turn, $place, $signed) ?? $made;
            } elseif (! $open->isZero()) {
                $rows[] = self::row($line, $open, $turn, $place);
            }
        }
        if ($turn === Turn::Wrong) {
            $rows[] = self::wrong($order, $place);
        }
        if ($made !== null && $rows === []) {
            return $made;
        }

        return $this->receive->handle($order->supplier_id, $rows, "DN-{$order->number}", $signed);
    }

    /** What he made of parts of ours uses these up. */
    private function made(PurchaseLine $line, BigDecimal $open, Turn $turn, int $place, Signed $signed): ?Booking
    {
        $comes = self::part($line, $open, $turn);
        if ($comes === null || $comes->isZero()) {
            return null;
        }
        $typed = new TypedMade(Amount::plain($comes), '0', $place, self::codes($line->item, $line, $comes));
        $own = new Signed("{$signed->token}-{$line->id}", $signed->person, fingerprint: $signed->fingerprint);

        return $this->made->handle($line->id, $typed, $own);
    }

    /** How much of a line comes; null = none of it, but something else. */
    private static function part(PurchaseLine $line, BigDecimal $open, Turn $turn): ?BigDecimal
    {
        $part = self::PART[$turn->value] ?? null;
        $rounding = $turn === Turn::Short ? RoundingMode::DOWN : RoundingMode::UP;

        return $part === null ? null : $open->multipliedBy($part)->toScale($line->item->unit->decimals, $rounding);
    }

    private static function row(PurchaseLine $line, BigDecimal $open, Turn $turn, int $place): Delivered
    {
        $comes = self::part($line, $open, $turn);
        if ($comes === null) {
            return new Delivered("lines.{$line->id}", null, $line->id, rest: RestOfLine::Unknown);
        }
        $rest = $comes->isLessThan($open) ? self::rest($turn) : RestOfLine::AsSaid;
        $arrival = $comes->isZero() ? null : new Arrival(
            $line->item_id,
            new TypedQuantity(Amount::plain($comes)),
            $line->price,
            $place,
            self::codes($line->item, $line, $comes),
            $line->id,
        );

        return new Delivered(
            "lines.{$line->id}",
            $arrival,
            $line->id,
            (string) $open,
            $rest,
            $rest === RestOfLine::OnDay ? self::later() : null,
        );
    }

    private static function rest(Turn $turn): RestOfLine
    {
        return match ($turn) {
            Turn::Half => RestOfLine::OnDay,
            Turn::Short => RestOfLine::Never,
            default => RestOfLine::AsSaid,
        };
    }

    /** The day the rest comes on. */
    private static function later(): string
    {
        $deliveries = Deliveries::now();

        return $deliveries->plant->workingDaysFrom($deliveries->today, self::REST);
    }

    /** A lot has the number of the line; so have serials, counted on from what came before. */
    private static function codes(Item $item, PurchaseLine $line, BigDecimal $comes): string
    {
        $number = str_replace('/', '-', $line->number);
        if ($item->tracking !== Tracking::Serial) {
            return $item->isTracked() ? "N-{$number}" : '';
        }
        $from = BigDecimal::of($line->received_quantity)->toInt();

        return implode("\n", array_map(
            fn (int $i): string => "N-{$number}-{$i}",
            range($from + 1, $from + $comes->toInt()),
        ));
    }

    /**
     * One of something else he has.
     *
     * @throws Refused when he has nothing else
     */
    private static function wrong(PurchaseOrder $order, int $place): Delivered
    {
        $other = Item::query()
            ->where('tracking', Tracking::None)
            ->whereIn('id', SupplierItem::query()->where('supplier_id', $order->supplier_id)->select('item_id'))
            ->whereNotIn('id', $order->lines()->reorder()->select('item_id'))
            ->orderBy('id')
            ->first() ?? throw Refused::because("{$order->supplier->name} has nothing else to bring.");

        return new Delivered('other.0', new Arrival($other->id, new TypedQuantity('1'), $other->cost, $place));
    }
}
