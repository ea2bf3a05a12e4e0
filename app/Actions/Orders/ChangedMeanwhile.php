<?php

namespace App\Actions\Orders;

use App\Models\Bill;
use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\Order;
use App\Models\PurchaseOrder;
use Illuminate\Support\Facades\DB;

/** Somebody else changed the record after the page was opened: who and what is said, nothing is overwritten. */
final class ChangedMeanwhile extends \DomainException implements \KeepPace\Core\Refusal
{
    /** Compared after the lock. */
    public static function check(Order|CustomerOrder|PurchaseOrder|Bill $record, int $version): void
    {
        if ($record->version === $version) {
            return;
        }
        $last = Booking::query()
            ->with('person')
            ->orderByDesc('id')
            ->when(
                $record instanceof Order,
                fn ($query) => $query->where(
                    fn ($of) => $of
                        ->where('order_id', $record->id)
                        ->orWhereIn(
                            'id',
                            DB::table('order_changes')->where('order_id', $record->id)->select('booking_id'),
                        ),
                ),
            )
            ->when($record instanceof CustomerOrder, fn ($query) => $query->where('customer_order_id', $record->id))
            ->when($record instanceof PurchaseOrder, fn ($query) => $query->where('purchase_order_id', $record->id))
            ->when($record instanceof Bill, fn ($query) => $query->where('bill_id', $record->id))
            ->first();
        throw new self(
            ($last === null
                ? 'Somebody changed this meanwhile.'
                : "{$last->person->name} changed this meanwhile: {$last->says}")
                .' Nothing of yours is lost: look at what is there now, then send again.',
        );
    }
}
