<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Naming\Code;

/**
 * What is set up alike.
 *
 * @property int $id
 * @property string $code
 */
class Family extends Model
{
    public $timestamps = false;

    protected $table = 'families';

    protected $guarded = [];

    /** The one that is called so; the first who names it calls it into being. */
    public static function called(string $code): self
    {
        return self::query()->firstWhere('code_key', Code::keyOf($code)) ?? self::query()->create(['code' => $code]);
    }
}
