<?php

namespace App\Actions\Purchasing;

use App\Actions\Work\GatheredPrice;
use App\Books\Ledger;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Mail;
use App\Models\PurchaseOrder;
use App\Models\SupplierItem;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use App\Shop\PurchaseSheet;
use App\Shop\PurchaseSheetLine;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Refused;

/**
 * A purchase order, or what was changed of it, goes to the supplier by mail or on paper. From then on its lines are to
 * come. Mail is put into `mails` as it is; what would carry it out of the house is a stand-in that leaves it there.
 */
final class SendPurchase
{
    public function __construct(private readonly PurchaseChange $change)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     *
     * @throws Refused when there is nothing to send
     */
    public function handle(int $id, int $version, TypedSending $typed, Signed $signed): Booking
    {
        return $this->change->handle(
            $id,
            $version,
            PurchaseDeed::Send,
            $signed,
            function (Ledger $ledger, PurchaseOrder $order) use ($typed): string {
                $isFirst = $order->sent_on === null;
                $today = now(config()->string('pace.zone'))->toDateString();
                $isFirst ? $this->begin($order, $today) : null;
                $order->fill(['sent_on' => $order->sent_on ?? $today, 'changed_on' => null]);
                $what = $isFirst ? "Purchase {$order->number}" : "The change of purchase {$order->number}";
                if ($typed->to !== null) {
                    self::mail($ledger, $order, $typed->to, $typed->words, $isFirst);
                }

                return "{$what} sent to {$order->supplier->name} "
                    .($typed->to === null ? 'on paper.' : "by mail to {$typed->to}.");
            },
        );
    }

    /** Its lines are to come now; what could not come any more on its day comes after the usual time. */
    private function begin(PurchaseOrder $order, string $today): void
    {
        $deliveries = Deliveries::now();
        $order->ordered_on = $today;
        foreach ($order->lines()->with('item')->get() as $line) {
            if ($line->expected_on < $today) {
                $terms = SupplierItem::of($line->item_id, $order->supplier_id);
                $line->expected_on = $deliveries->comesOn(
                    LeadTime::agreed($line->item, $order->supplier_id, $terms),
                );
            }
            $line->is_draft = false;
            $line->save();
        }
        GatheredPrice::settle($order);
    }

    private static function mail(
        Ledger $ledger,
        PurchaseOrder $order,
        string $to,
        string $words,
        bool $isFirst,
    ): void {
        $sheet = PurchaseSheet::of($order);
        Mail::query()->create([
            'booking_id' => $ledger->booking->id,
            'purchase_order_id' => $order->id,
            'to' => $to,
            'subject' => ($isFirst ? '' : 'Changed: ')."Purchase order {$order->number}",
            'body' => self::body($sheet, $words),
            'paper' => $sheet->asArray(),
            'sent_at' => now(),
        ]);
    }

    private static function body(PurchaseSheet $sheet, string $words): string
    {
        $lines = array_map(
            fn (PurchaseSheetLine $line): string => "{$line->position}  {$line->quantity} {$line->unit} "
                .trim(($line->theirs === '' ? $line->number : "{$line->theirs} (ours {$line->number})")
                    ." {$line->name}")
                .", {$line->price} € each, on ".Said::day($line->expectedOn),
            $sheet->lines,
        );
        $asked = 'Please confirm day, quantity and price of each line.';

        return implode("\n\n", array_filter([$words, implode("\n", $lines), $sheet->note, $asked, $sheet->from]));
    }
}
