<?php

namespace App\Actions\Usage;

use App\Models\Person;
use App\Models\Slip;
use App\Queries\Usage\SlipPage;
use App\Queries\Usage\SlipRow;
use App\Queries\Usage\SlipSplitRow;
use App\Reading\Row;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;

/**
 * A scanned lot or serial names itself on the line of a slip that still wants it; refused when it stands for nothing
 * there, or for two things.
 */
final class ScanLot
{
    public function handle(int $id, string $code, Person $by): Slip
    {
        return DB::transaction(function () use ($id, $code, $by): Slip {
            $slip = KeepSlip::open($id, null);
            $code = trim($code);
            $lines = SlipPage::of($slip->id)->lines
                ->filter(fn (SlipRow $line): bool => ! $line->isOut && $line->isTracked());
            $lots = self::lots($code, $lines->pluck('itemId'));
            if ($lots->isEmpty()) {
                throw Refused::because(
                    "{$code} is not a free lot or serial of anything on this slip. ".PickSlip::whatIs($code),
                    'scan',
                );
            }
            $line = self::wanting($code, $lines->whereIn('itemId', $lots->keys()));
            $lot = $lots[$line->itemId];
            $most = $line->tracking === Tracking::Serial ? BigDecimal::one() : $lot->quantity;
            DB::table('slip_splits')->insert([
                'slip_line_id' => $line->id,
                'code' => $lot->code,
                'typed' => Amount::plain((string) BigDecimal::min($line->left() ?? $most, $most)),
            ]);

            return KeepSlip::changed($slip, $by);
        }, attempts: 5);
    }

    /**
     * The one line that still wants it.
     *
     * @param  Collection<int, SlipRow>  $lines  of items that have such a lot
     *
     * @throws Refused
     */
    private static function wanting(string $code, Collection $lines): SlipRow
    {
        $isTaken = fn (SlipRow $line): bool => $line->splits->contains(
            fn (SlipSplitRow $split): bool => Code::keyOf($split->code) === Code::keyOf($code),
        );
        $wanting = $lines
            ->filter(fn (SlipRow $line): bool => ! $isTaken($line) && $line->left()?->isPositive() === true)
            ->values();
        if ($wanting->isEmpty()) {
            throw Refused::because(
                "{$code} is named already, or its lines are complete. Take another lot off first.",
                'scan',
            );
        }
        if ($wanting->unique('itemId')->count() > 1) {
            $things = $wanting
                ->map(fn (SlipRow $line): string => "{$line->itemNumber} for {$line->order}")
                ->join(', ', ' and ');
            throw Refused::because("{$code} stands for several things here: {$things}. Type it at the line.", 'scan');
        }

        return $wanting->firstOrFail();
    }

    /**
     * @param  Collection<int, int>  $items
     * @return Collection<int, ScannedLot>  free lots of that code, by item
     */
    private static function lots(string $code, Collection $items): Collection
    {
        $lots = Shelves::lying()
            ->join('lots AS l', 'l.id', 'b.lot_id')
            ->where('l.code_key', Code::keyOf($code))
            ->whereIn('l.item_id', $items)
            ->groupBy('l.item_id', 'l.code')
            ->selectRaw('l.item_id, l.code, SUM(b.quantity) AS quantity');

        return Row::all($lots, ScannedLot::from(...))->keyBy('itemId');
    }
}
