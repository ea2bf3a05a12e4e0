<?php

namespace App\Actions\Usage;

use App\Models\Item;
use App\Models\Order;
use App\Models\Person;
use App\Models\Slip;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Keeps a slip as it was typed, right or wrong: it is judged when it is booked. */
final class KeepSlip
{
    public function handle(int $id, int $version, SlipTyped $typed, Person $by): Slip
    {
        return DB::transaction(function () use ($id, $version, $typed, $by): Slip {
            $slip = self::open($id, $version);
            (new SlipLines($slip))->keep($typed->lines);
            $slip->fill(['note' => $typed->note, 'booked_on' => $typed->bookedOn]);

            return self::changed($slip, $by);
        }, attempts: 5);
    }

    /** Adds a line: an item that was not planned, for one of the slip's orders. */
    public function add(int $id, int $version, UnplannedLine $new, Person $by): Slip
    {
        return DB::transaction(function () use ($id, $version, $new, $by): Slip {
            $slip = self::open($id, $version);
            $item = Item::query()->with('unit', 'units.unit')->findOrFail($new->itemId);
            if (! $item->isIssued()) {
                throw Refused::because($item->whyNeverIssued(), 'item');
            }
            $amount = $item->typed($new->quantity)->amount;
            $order = Order::query()->findOrFail($new->orderId);
            $planned = $order->components()->where('item_id', $item->id)->whereNull('stands_for_id')->value('id');
            $line = $slip
                ->lines()
                ->create([
                    'position' => (int) $slip->lines()->max('position') + 10,
                    'order_id' => $new->orderId,
                    'component_id' => $planned,
                    'item_id' => $item->id,
                    'step_number' => $new->stepNumber,
                    'typed' => $new->quantity->amount,
                    'unit' => (string) $new->quantity->unit,
                    'reason' => $new->reason,
                ]);
            $suggest = new Suggestions(
                [$item->id],
                $slip->booked_on ?? now(config()->string('pace.zone'))->toDateString(),
            );
            foreach ($suggest->take($item, $new->orderId, 0, $amount) as $part) {
                $line->splits()->create($part);
            }

            return self::changed($slip, $by);
        }, attempts: 5);
    }

    /**
     * Locks an open slip.
     *
     * @throws Refused when it is booked, given up, or changed by another meanwhile
     */
    public static function open(int $id, ?int $version): Slip
    {
        return self::assertOpen(Slip::query()->lockForUpdate()->findOrFail($id), $version);
    }

    /** @throws Refused when it is booked, given up, or changed by another meanwhile */
    public static function assertOpen(Slip $slip, ?int $version): Slip
    {
        $slip->load('changedBy');
        if ($slip->state !== 'open') {
            throw Refused::because(
                $slip->state === 'booked'
                    ? "Slip {$slip->id} is booked already."
                    : "Slip {$slip->id} was given up by {$slip->changedBy->name}.",
            );
        }
        if ($version !== null && $slip->version !== $version) {
            throw Refused::because(
                "{$slip->changedBy->name} changed this slip meanwhile. Nothing of yours is lost: look at what is "
                    .'there now, then send again.',
            );
        }

        return $slip;
    }

    public static function changed(Slip $slip, Person $by): Slip
    {
        $slip->fill(['changed_by' => $by->id, 'version' => $slip->version + 1])->save();

        return $slip;
    }
}
