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
 * Orders the work of steps that say so by themselves: at the release, or when the first pieces reach the step. It is a
 * deed of who released the order. What is not raised with the booking is raised within the minute.
 */
final readonly class RaiseWork
{
    public function __construct(private OrderWork $order, private JustBooked $just)
    {
    }

    /** Something was booked that may be followed by it. */
    public function after(Booked $booked): void
    {
        if ($booked->booking->kind === BookingKind::Release || $this->just->reachedOutside) {
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
            ->whereIn('s.work_ordered', [WorkOrdered::AtRelease->value, WorkOrdered::WithPieces->value])
            ->whereNotNull('s.supplier_id')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->whereRaw("(s.work_ordered = 'release' OR s.taken_in > s.good + s.scrap)")
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
