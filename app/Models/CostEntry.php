<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What one booking put into an order, in cents.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $order_id
 * @property string $kind
 * @property int $cents
 * @property int|null $order_step_id
 */
class CostEntry extends Model
{
    public $timestamps = false;

    protected $table = 'cost_entries';

    protected $guarded = [];
}
