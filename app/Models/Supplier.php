<?php

namespace App\Models;

/**
 * Somebody we buy from or send work to.
 *
 * @property string $minimum_order euros; 0 = any
 * @property int|null $calendar_id days he works; null = as the plant
 * @property int $transport_days our working days on the way
 * @property int|null $over_percent so much more than ordered is taken and paid; null = all that comes
 * @property string $orders_on weekdays such as "1,4"; '' = any
 * @property string $delivers_on weekdays; '' = any
 */
class Supplier extends Partner
{
    protected $table = 'suppliers';
}
