<?php

namespace App\Actions\Usage;

use App\Models\Person;
use App\Models\Slip;
use App\Queries\Usage\SlipPage;
use Brick\Math\BigDecimal;
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
            $lines = SlipPage::of($slip)->lines->filter(
                fn (\stdClass $line): bool => ! $line->is_out && $line->tracking !== Tracking::None->value,
            );
            $lots = DB::table('lots AS l')
                ->join('balances AS b', 'b.lot_id', 'l.id')
                ->join('places AS p', 'p.id', 'b.place_id')
                ->where('l.code_key', Code::keyOf($code))
                ->whereIn('l.item_id', $lines->pluck('item_id'))
                ->where('p.kind', 'store')
                ->where('b.condition', 'free')
                ->where('b.quantity', '>', 0)
                ->groupBy('l.item_id', 'l.code')
                ->selectRaw('l.item_id, l.code, SUM(b.quantity) AS quantity')
                ->get()
                ->keyBy('item_id');
            if ($lots->isEmpty()) {
                throw Refused::because(
                    "{$code} is not a free lot or serial of anything on this slip. ".PickSlip::whatIs($code),
                    'scan',
                );
            }
            $isTaken = fn (\stdClass $line): bool => $line->splits->contains(
                fn (\stdClass $split): bool => Code::keyOf($split->code) === Code::keyOf($code),
            );
            $open = $lines->filter(fn (\stdClass $line): bool => isset($lots[$line->item_id]) && ! $isTaken($line));
            $wanting = $open
                ->filter(fn (\stdClass $line): bool => $line->left !== null && $line->left->isPositive())
                ->values();
            if ($wanting->isEmpty()) {
                throw Refused::because(
                    "{$code} is named already, or its lines are complete. Take another lot off first.",
                    'scan',
                );
            }
            if ($wanting->unique('item_id')->count() > 1) {
                throw Refused::because(
                    "{$code} stands for several things here: "
                        .$wanting
                            ->map(fn (\stdClass $line): string => "{$line->item_number} for {$line->order_number}")
                            ->join(', ', ' and ')
                        .'. Type it at the line.',
                    'scan',
                );
            }
            $line = $wanting->firstOrFail();
            $lot = $lots[$line->item_id];
            DB::table('slip_splits')->insert([
                'slip_line_id' => $line->id,
                'code' => $lot->code,
                'typed' => Amount::plain(
                    (string) BigDecimal::min(
                        $line->left,
                        $line->tracking === Tracking::Serial->value ? 1 : $lot->quantity,
                    ),
                ),
            ]);

            return KeepSlip::changed($slip, $by);
        }, attempts: 5);
    }
}
