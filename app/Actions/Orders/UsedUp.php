<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\ProductChanges;
use App\Models\Item;
use App\Models\Structure;
use App\Shop\Positions;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\CutOver;
use KeepPace\Core\Structure\Exploded;

/**
 * A structure that waits until a part is used up comes into force with the first order there is not enough of it for.
 * Two orders made in one moment may both still be made by the one before: the second is short of the part then, as any.
 */
final class UsedUp
{
    /**
     * @param  Exploded  $before  what the order takes by the structure in force
     * @return Structure|null that came into force; null = none waits, or there is enough
     */
    public static function next(Ledger $ledger, Item $item, Exploded $before): ?Structure
    {
        $waiting = Structure::query()
            ->with('item')
            ->where('item_id', $item->id)
            ->whereNotNull('waits_for_item_id')
            ->orderBy('id')
            ->first();
        if ($waiting === null) {
            return null;
        }
        $needed = BigRational::zero();
        foreach ($before->needs as $need) {
            if ($need->line->item === (string) $waiting->waits_for_item_id) {
                $needed = $needed->plus($need->quantity);
            }
        }
        $position = Positions::of((int) $waiting->waits_for_item_id)->position();
        // a structure before that does not take it any more has nothing to use up
        if ($needed->isPositive() && ! (new CutOver($position))->isUsedUp($needed)) {
            return null;
        }

        return self::inForce($ledger, $waiting);
    }

    private static function inForce(Ledger $ledger, Structure $waiting): Structure
    {
        $today = now(config()->string('pace.zone'))->toDateString();
        $part = Item::query()->findOrFail($waiting->waits_for_item_id)->number;
        $changes = new ProductChanges($ledger->booking->id);
        $record = "{$waiting->item->number} revision {$waiting->revision}";
        $changes->field('structures', $waiting->id, $record, 'in force', "when {$part} is used up", $today);
        $changes->write();
        $waiting->fill(['waits_for_item_id' => null, 'effective_from' => $today])->save();

        return $waiting;
    }
}
