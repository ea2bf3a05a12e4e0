<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\SendOut;
use App\Actions\Outside\TypedBack;
use App\Actions\Outside\TypedSendOut;
use App\Models\ConsignmentLine;
use App\Models\OrderStep;
use App\Queries\Outside\ReadyList;
use App\Queries\Outside\ReadyPieces;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Quantity\Amount;

/** What goes to suppliers to be worked on, and comes back from them, in the story. */
final class OutsideWork
{
    private Staff $staff;

    private Dice $dice;

    private Tries $tries;

    public function __construct(private readonly SendOut $send, private readonly ComesBack $back)
    {
    }

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->dice = $dice;
        $this->tries = $tries;
    }

    /** Somebody drives there: the supplier's pieces are back when they said, in the last days a little later. */
    public function isDueBack(OrderStep $step, int $left): bool
    {
        $there = ConsignmentLine::query()
            ->where('order_step_id', $step->id)
            ->where('there', '>', 0)
            ->oldest('id')
            ->first();

        return $there !== null && $there->back_at->addDays($left < 10 ? 2 : 0)->isPast();
    }

    /** The storekeeper sends what waits to each supplier; of the last days some still waits. */
    public function sendOut(int $left): void
    {
        $waiting = ReadyList::all()->all->rows->filter(fn (ReadyPieces $row): bool => $row->isHere());
        foreach ($waiting->groupBy(fn (ReadyPieces $row): int => $row->supplierId) as $supplier => $rows) {
            if ($left < 4 && $this->dice->chance(70)) {
                continue;
            }
            $typed = $rows->map(
                fn (ReadyPieces $row): TypedSendOut => new TypedSendOut($row->id, Amount::plain($row->here)),
            );
            $this->tries->of(fn () => $this->send->handle(
                (int) $supplier,
                array_values($typed->all()),
                '',
                $this->staff->signs(Role::Storekeeper),
            ));
        }
    }

    /** What the supplier gives back is counted. */
    public function cameBack(OrderStep $step, string $good, string $passOn, string $spoiled, string $reason): void
    {
        $typed = new TypedBack($good, $passOn, $spoiled, reason: $reason, whose: self::whose($step));
        $this->back->handle($step->id, $typed, $this->staff->signs(Role::Storekeeper));
    }

    /** Whose fault it is that something is spoiled outside: by the step, so that the story is the same each time. */
    private static function whose(OrderStep $step): Whose
    {
        return [Whose::Theirs, Whose::Ours, Whose::Open][$step->id % 3];
    }
}
