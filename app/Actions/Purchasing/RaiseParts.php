<?php

namespace App\Actions\Purchasing;

use App\Books\Booked;
use App\Books\Signed;
use App\Models\BookingKind;
use App\Models\Person;
use App\Reading\Row;
use App\Shop\PartsToGo;
use App\Shop\Positions;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refusal;
use KeepPace\Core\Structure\ItemKind;

/**
 * A supplier makes what is bought of a part that is bought itself: where that is missing, it is put on a draft of the
 * one who sells it as soon as the other is ordered, and so on down the chain. It is a deed of who ordered; the buyer
 * looks at the draft, changes it or throws it away, and it is not raised again for the same need.
 */
final readonly class RaiseParts
{
    public function __construct(private RaisePurchases $raise)
    {
    }

    /** Something was ordered, or what was ordered is another thing now. */
    public function after(Booked $booked): void
    {
        if (in_array($booked->booking->kind, [BookingKind::Purchased, BookingKind::PurchaseChanged], true)) {
            $this->due();
        }
    }

    /** @return int parts that were put on drafts */
    public function due(): int
    {
        $raised = 0;
        foreach (self::wanted() as $row) {
            $item = $row->int('item_id');
            $missing = Positions::of($item)->missing();
            $by = self::whoOrdered($row->int('last'));
            if ($by === null || $missing->isZero()) {
                continue;
            }
            $amount = Amount::plain($missing);
            try {
                $this->raise->handle(
                    [new LineToBuy($item, $amount)],
                    true,
                    new Signed('parts-'.sha1("{$item} {$amount} {$row->text('lines')}"), $by),
                    isDraft: true,
                );
                $raised++;
            } catch (Refusal) {
                // it stands under what will be missing, and is bought by hand
            }
        }

        return $raised;
    }

    /** Who ordered, or changed what was ordered, last. */
    private static function whoOrdered(int $order): ?Person
    {
        $booking = DB::table('booking_says AS s')
            ->join('bookings AS b', 'b.id', 's.booking_id')
            ->where('s.purchase_order_id', $order)
            ->whereIn('b.kind', [BookingKind::Purchased->value, BookingKind::PurchaseChanged->value])
            ->orderByDesc('b.id');

        return Person::query()->whereKey($booking->value('b.person_id'))->first();
    }

    /**
     * Parts that go along for what is ordered, are bought by need, not by level, and on no draft yet.
     *
     * @return iterable<int, Row> item_id, lines, last
     */
    private static function wanted(): iterable
    {
        $to = PartsToGo::lines()
            ->where('i.kind', ItemKind::Bought->value)
            // by level it is proposed when it is low
            ->where(fn ($how) => $how->where('i.ordered_by', 'need')->orWhere('i.reorder_point', 0))
            ->where('i.is_running_out', false)
            ->whereNotNull('i.supplier_id')
            ->whereNotExists(fn ($draft) => $draft
                ->from('purchase_lines AS d')
                ->whereColumn('d.item_id', 'p.item_id')
                ->where('d.is_draft', true));
        $query = DB::query()
            ->fromSub($to, 't')
            ->groupBy('t.item_id')
            ->orderBy('t.item_id')
            ->select('t.item_id')
            ->selectRaw("GROUP_CONCAT(t.number ORDER BY t.number SEPARATOR ' ') AS `lines`")
            ->selectRaw('MAX(t.purchase_order_id) AS last');

        return Row::all($query, fn (Row $row): Row => $row);
    }
}
