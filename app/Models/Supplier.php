<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Somebody we buy from or send work to.
 *
 * @property int $id
 * @property string $number
 * @property string $name
 * @property string $contact
 * @property string $address
 */
class Supplier extends Model
{
    public $timestamps = false;

    protected $table = 'suppliers';

    protected $guarded = [];
}
