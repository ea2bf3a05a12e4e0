<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Quantity\Unit as CoreUnit;

/**
 * A unit of measure of the shop.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property int $decimals
 * @property string $rec20
 * @property int $version
 */
class Unit extends Model
{
    public $timestamps = false;

    protected $table = 'units';

    protected $guarded = [];

    private ?CoreUnit $core = null;

    public function toCore(): CoreUnit
    {
        return $this->core ??= new CoreUnit($this->code, $this->name, max(0, min(6, $this->decimals)), $this->rec20);
    }
}
