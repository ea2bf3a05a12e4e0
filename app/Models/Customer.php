<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Somebody who orders.
 *
 * @property int $id
 * @property string $number
 * @property string $name
 * @property string $contact
 * @property string $address
 */
class Customer extends Model
{
    public $timestamps = false;

    protected $table = 'customers';

    protected $guarded = [];
}
