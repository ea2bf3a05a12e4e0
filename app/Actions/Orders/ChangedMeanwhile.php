<?php

namespace App\Actions\Orders;

use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\Order;

/** Somebody else changed the record after the page was opened: who and what is said, nothing is overwritten. */
final class ChangedMeanwhile extends \DomainException implements \KeepPace\Core\Refusal
{
    /** Compared after the lock. */
    public static function check(Order|CustomerOrder $record, int $version): void
    {
        if ($record->version === $version) {
            return;
        }
        $column = $record instanceof Order ? 'order_id' : 'customer_order_id';
        $last = Booking::query()->with('user')->where($column, $record->id)->orderByDesc('id')->first();
        throw new self(($last === null ? 'Somebody changed this meanwhile.'
            : "{$last->user->name} changed this meanwhile: {$last->says}").' Nothing of yours is lost: look at what is there now, then send again.');
    }
}
