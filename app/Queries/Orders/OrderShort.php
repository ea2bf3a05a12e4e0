<?php

namespace App\Queries\Orders;

use App\Models\QuestionKind;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Pieces of an order that were scrapped, and how they are made up for. */
final readonly class OrderShort
{
    /**
     * @param  BigDecimal  $scrapped  pieces
     * @param  Collection<int, Remake>  $remakes  orders that make them again
     * @param  BigDecimal  $toCure  neither made again nor settled otherwise
     */
    private function __construct(public BigDecimal $scrapped, public Collection $remakes, public BigDecimal $toCure)
    {
    }

    /** @param  Collection<int, OrderStepLine>  $steps */
    public static function of(int $order, Collection $steps): self
    {
        $scrapped = BigDecimal::sum(0, ...$steps->map(fn (OrderStepLine $step): BigDecimal => $step->scrap));
        $remakes = self::remakes($order);
        $asked = DB::table('questions')
            ->where('order_id', $order)
            ->where('kind', QuestionKind::Short)
            ->whereNull('answered_at');
        $madeAgain = $remakes->map(fn (Remake $one): BigDecimal => $one->quantity);
        $left = $scrapped->minus(BigDecimal::sum(0, ...$madeAgain));
        $open = BigDecimal::min(Row::sum($asked, 'open_quantity'), $left);

        return new self($scrapped, $remakes, BigDecimal::max(0, $open));
    }

    /** @return Collection<int, Remake> */
    private static function remakes(int $order): Collection
    {
        return Row::all(
            DB::table('orders AS o')
                ->where('o.remake_of_id', $order)
                ->where('o.state', '<>', 'cancelled')
                ->orderBy('o.id')
                ->select(['o.id', 'o.number', 'o.quantity', 'o.state'])
                ->selectRaw(
                    "(SELECT COALESCE(SUM(e.cents), 0) FROM cost_entries e
                        WHERE e.order_id = o.id AND e.kind NOT IN ('receipt', 'variance')) AS cost",
                ),
            Remake::from(...),
        );
    }
}
