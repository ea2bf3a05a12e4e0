<?php

namespace App\Actions\Builds;

use App\Actions\Orders\OrderChange;
use App\Actions\Orders\OrderQuantity;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Order;
use KeepPace\Core\Planning\BuildRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** What is left of a build will not be built: it ends with what came. */
final class GiveUpBuild
{
    public function __construct(private readonly OrderChange $change, private readonly OrderQuantity $quantity)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     *
     * @throws Refused when nothing was built of it: then it is cancelled
     */
    public function handle(int $id, int $version, Signed $signed): Booking
    {
        return $this->change->handle($id, $version, $signed, function (Ledger $ledger, Order $order): string {
            $received = $order->received();
            if ($received->isZero()) {
                throw BuildRefused::notBegun($order->number);
            }
            $left = $order->openQuantity();
            $this->quantity->set($ledger, $order, $received);

            return Amount::plain($left)." of build {$order->number} given up: ".Amount::plain($received)
                ." {$order->item->unit->code} were built.";
        });
    }
}
