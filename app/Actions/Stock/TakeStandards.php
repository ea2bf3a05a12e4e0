<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Takes other standard costs for a list of items in one booking, and brings their stock to them; the difference is
 * variance. Taken back, they cost again what they cost before.
 */
final class TakeStandards
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, StandardTaken>  $taken  by item
     *
     * @throws Refused with a sentence beside each item that is wrong
     */
    public function handle(array $taken, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Revalued, $signed, new Part(
            Needs::items(array_keys($taken)),
            function (Ledger $ledger, Held $held) use ($taken): void {
                $this->write($ledger, $taken, 'take');
            },
        ));
    }

    /**
     * Whether they could be taken as things stand; for those that are to be taken later.
     *
     * @param  array<int, StandardTaken>  $taken  by item
     *
     * @throws Refused with a sentence beside each item that is wrong
     */
    public function assertCanBe(array $taken): void
    {
        $this->assertAsSeen(Item::query()->whereKey(array_keys($taken))->orderBy('id')->get()->all(), $taken);
    }

    /**
     * All that a booking took is as it was before, where nobody has changed it since.
     *
     * @throws Refused with what was changed since
     */
    public function back(int $booking, Signed $signed): Booking
    {
        $taken = self::takenBy($booking);

        return $this->bookings->once(BookingKind::Revalued, $signed, new Part(
            Needs::items(array_keys($taken)),
            function (Ledger $ledger) use ($taken): void {
                $back = array_map(
                    fn (StandardTaken $one): StandardTaken => new StandardTaken($one->after, $one->before),
                    $taken,
                );
                $this->write($ledger, $back, 'take back');
            },
        ));
    }

    /** @param  array<int, StandardTaken>  $taken  by item */
    private function write(Ledger $ledger, array $taken, string $doing): void
    {
        if ($taken === []) {
            throw Refused::because("There is nothing to {$doing}.");
        }
        $items = Item::query()->with('unit')->whereKey(array_keys($taken))->orderBy('id')->lockForUpdate()->get();
        $this->assertAsSeen($items->all(), $taken);
        $ledger->stock->values->rulesOf(array_values($items->modelKeys()));
        $changes = new ProductChanges($ledger->booking->id);
        $more = 0;
        foreach ($items as $item) {
            $cost = $taken[$item->id]->after;
            $changes->field('items', $item->id, $item->number, 'cost', $item->cost, $cost);
            $item->cost = $cost;
            $item->version++;
            $item->save();
            $more += SetStandardCost::revalue($ledger, $item, $cost);
        }
        $changes->write();
        $euros = number_format(abs($more) / 100, 2);
        $ledger->says(
            "Standard costs of {$items->count()} items taken".($doing === 'take' ? '' : ' back').': stock is worth '
                ."{$euros} € ".($more < 0 ? 'less.' : 'more.'),
        );
    }

    /**
     * @param  array<Item>  $items
     * @param  array<int, StandardTaken>  $taken
     *
     * @throws Refused
     */
    private function assertAsSeen(array $items, array $taken): void
    {
        $wrong = [];
        foreach ($items as $item) {
            if (CostingRule::from($item->costing) !== CostingRule::Standard) {
                $wrong["costs.{$item->id}"] = "{$item->number} is not valued by standard cost.";
            } elseif (! $taken[$item->id]->isSeen($item->cost)) {
                $wrong["costs.{$item->id}"] = "{$item->number} costs ".Amount::plain($item->cost)
                    .' € by now; it was changed meanwhile.';
            } elseif ($taken[$item->id]->isNone()) {
                $wrong["costs.{$item->id}"] = "{$item->number} costs that already.";
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
    }

    /** @return array<int, StandardTaken> what a booking took, by item */
    private static function takenBy(int $booking): array
    {
        $rows = DB::table('product_changes')
            ->where('booking_id', $booking)
            ->where('kind', 'items')
            ->where('field', 'cost')
            ->orderBy('record_id')
            ->select(['record_id', 'before', 'after']);
        $taken = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $taken[$row->int('record_id')] = new StandardTaken($row->text('before'), $row->text('after'));
        }

        return $taken;
    }
}
