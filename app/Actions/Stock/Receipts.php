<?php

namespace App\Actions\Stock;

use App\Models\Move;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Stock\PlaceKind;

/** By which moves goods came, and still stand: of our own, not taken back. */
final class Receipts
{
    /**
     * So many of a purchase line, after those that were billed before: what came first is billed first.
     *
     * @param  BigDecimal  $before  billed before
     * @param  BigDecimal  $take  above 0, no more than came after those
     * @return list<Received>
     */
    public static function ofLine(PurchaseLine $line, BigDecimal $before, BigDecimal $take): array
    {
        $received = [];
        foreach (self::moves()->where('purchase_line_id', $line->id)->get() as $move) {
            $skip = BigDecimal::min($before, $move->quantity);
            $before = $before->minus($skip);
            $part = BigDecimal::min($take, BigDecimal::of($move->quantity)->minus($skip));
            if ($part->isPositive()) {
                $received[] = Received::goods($move, $part);
                $take = $take->minus($part);
            }
        }

        return $received;
    }

    /** @return list<Received> all of a delivery */
    public static function ofBooking(int $booking): array
    {
        $moves = self::moves()->where('booking_id', $booking)->get();

        return array_values(
            $moves->map(fn (Move $move): Received => Received::goods($move, BigDecimal::of($move->quantity)))->all(),
        );
    }

    /**
     * Orders for which alone some of it was bought.
     *
     * @param  Builder<Move>  $moves
     * @return list<int>
     */
    public static function intoOrders(Builder $moves): array
    {
        $bought = (clone $moves)->whereNotNull('purchase_line_id')->whereNotNull('order_id');

        return array_values($bought->pluck('order_id')->map(fn ($id): int => (int) $id)->all());
    }

    /** @return Builder<Move> */
    private static function moves(): Builder
    {
        return Move::query()
            ->with('item.unit')
            ->where('quantity', '>', 0)
            ->where('owner_id', 0)
            ->whereIn('from_place_id', fn ($places) => $places
                ->from('places')
                ->where('kind', PlaceKind::Outside->value)
                ->select('id'))
            ->whereNull('reverses_id')
            ->whereDoesntHave('reversedBy')
            ->orderBy('id');
    }
}
