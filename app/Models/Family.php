<?php

namespace App\Models;

use App\Models\Concerns\HasCode;
use Illuminate\Database\Eloquent\Model;

/**
 * What is set up alike.
 *
 * @property int $id
 * @property string $code
 */
class Family extends Model
{
    use HasCode;

    public $timestamps = false;

    protected $table = 'families';

    protected $guarded = [];

    /** The one that is called so; the first who names it calls it into being. */
    public static function called(string $code): self
    {
        return self::coded($code) ?? self::query()->create(['code' => $code]);
    }
}
