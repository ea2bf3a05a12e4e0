<?php

namespace App\Actions\Purchasing;

use App\Books\Signed;
use App\Models\Booking;
use App\Models\Person;
use App\Models\PurchaseOrder;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Refusal;

/**
 * Drafts on which work gathers go out on the day the supplier takes orders, by mail, as a deed of who put them down.
 * Who has no mail address gets his on paper, by hand.
 */
final readonly class CutOffWork
{
    /** Hour of the plant's day until which a draft gathers. */
    private const FROM = 15;

    public function __construct(private SendPurchase $send)
    {
    }

    /** @return int drafts that went out */
    public function due(): int
    {
        $now = CarbonImmutable::now(config()->string('pace.zone'));
        $drafts = PurchaseOrder::query()
            ->with('supplier.contacts.ways')
            ->where('kind', PurchaseKind::Service)
            ->where('state', PurchaseState::Draft)
            ->where('cut_off_on', '<=', $now->toDateString())
            ->orderBy('id')
            ->get();
        $sent = 0;
        foreach ($now->hour < self::FROM ? [] : $drafts as $order) {
            $ways = $order->supplier->contacts->flatMap(fn ($contact) => $contact->ways);
            $to = $ways->firstWhere('kind', 'mail')?->at;
            $by = self::whoPutItDown($order);
            try {
                if ($to !== null && $by !== null) {
                    $signed = new Signed("cut-off-{$order->id}-{$order->version}", $by);
                    $this->send->handle($order->id, $order->version, new TypedSending($to), $signed);
                    $sent++;
                }
            } catch (Refusal) {
                // changed this very moment: in a minute
            }
        }

        return $sent;
    }

    private static function whoPutItDown(PurchaseOrder $order): ?Person
    {
        $first = DB::table('booking_says')->where('purchase_order_id', $order->id)->min('booking_id');
        $booking = is_numeric($first) ? Booking::query()->find((int) $first) : null;

        return $booking === null ? null : Person::query()->find($booking->person_id);
    }
}
