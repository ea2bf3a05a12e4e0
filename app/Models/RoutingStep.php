<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One step of a routing.
 *
 * @property int $id
 * @property int $routing_id
 * @property int $number
 * @property string $name
 * @property int|null $work_centre_id
 * @property int|null $supplier_id
 * @property string $setup_minutes
 * @property string $run_basis
 * @property string $run_rate
 * @property string $batch
 * @property int $crew
 * @property string|null $machine_minutes the machine is held for a unit; null = as long as people work at it
 * @property int $wait_minutes
 * @property int $move_minutes
 * @property int $lead_time_days
 * @property int $transport_days
 * @property string $price
 * @property int $setup_cents the supplier charges once
 * @property int $minimum_cents the supplier charges for the pieces at least
 * @property int|null $service_item_id item that stands for the work of its supplier
 * @property string $instructions
 */
class RoutingStep extends Model
{
    use HasStepTime;

    public $timestamps = false;

    protected $table = 'routing_steps';

    protected $guarded = [];
}
