<?php

namespace App\Actions\Purchasing;

use App\Books\Booked;
use App\Books\JustBooked;
use App\Books\Signed;
use App\Models\BookingKind;
use App\Models\Person;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refusal;
use KeepPace\Core\Routing\WorkOrdered;

/**
 * Orders the work of steps that say so by themselves: at the release, when the first pieces reach the step, or when the
 * supplier of the step before has confirmed his: one of a chain after the other. It is a deed of who released the
 * order. What is not raised with the booking is raised within the minute.
 */
final readonly class RaiseWork
{
    /** A step before it that is done outside, of which nothing came, waits for its supplier to confirm. */
    private const ITS_TURN = <<<'SQL'
        (s.work_ordered = 'release'
            OR s.taken_in > s.good + s.scrap
            OR (s.work_ordered = 'confirmed' AND NOT EXISTS (
                SELECT 1
                FROM order_steps b
                WHERE b.order_id = s.order_id
                    AND b.number = (
                        SELECT MAX(c.number) FROM order_steps c WHERE c.order_id = s.order_id AND c.number < s.number
                    )
                    AND b.supplier_id IS NOT NULL
                    AND b.good = 0
                    AND NOT EXISTS (
                        SELECT 1 FROM purchase_lines l
                        WHERE l.order_step_id = b.id
                            AND l.confirmed_on IS NOT NULL
                            AND l.quantity > l.cancelled_quantity
                    )
            )))
        SQL;

    public function __construct(private OrderWork $order, private JustBooked $just)
    {
    }

    /** Something was booked that may be followed by it. */
    public function after(Booked $booked): void
    {
        $kind = $booked->booking->kind;
        if (
            $kind === BookingKind::Release
            || $kind === BookingKind::PurchaseChanged
            || $this->just->reachedOutside
        ) {
            $this->just->reachedOutside = false;
            $this->due();
        }
    }

    /** @return int steps whose work was ordered */
    public function due(): int
    {
        $raised = 0;
        foreach (self::steps()->groupBy(fn (Row $row): string => $row->text('by_supplier')) as $of) {
            $ids = array_values($of->map(fn (Row $row): int => $row->int('id'))->all());
            $by = Person::query()->find($of->first()?->intOrNull('released_by'));
            try {
                $by === null ?: $this->order->handle($ids, new Signed('work-'.implode('-', $ids), $by));
                $raised += $by === null ? 0 : count($ids);
            } catch (Refusal) {
                // somebody orders it by hand, or it is tried again in a minute
            }
        }

        return $raised;
    }

    /** @return Collection<int, Row> steps that nobody ordered yet */
    private static function steps(): Collection
    {
        $steps = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->where('s.work_ordered', '<>', WorkOrdered::ByHand->value)
            ->whereNotNull('s.supplier_id')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->whereRaw(self::ITS_TURN)
            ->whereNotExists(fn (Builder $line) => $line
                ->from('purchase_lines AS l')
                ->whereColumn('l.order_step_id', 's.id'))
            ->orderBy('s.id')
            ->limit(100)
            ->select(['s.id', 'o.released_by'])
            ->selectRaw("CONCAT(s.supplier_id, '-', COALESCE(o.released_by, 0)) AS by_supplier");

        return Row::all($steps, fn (Row $row): Row => $row);
    }
}
