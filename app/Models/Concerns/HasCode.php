<?php

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Naming\Code;

/**
 * Found by the code people know it by.
 *
 * @phpstan-require-extends Model
 */
trait HasCode
{
    /** @param  string  $code  as typed, in capitals or not */
    public static function coded(string $code): ?static
    {
        return static::query()->firstWhere('code_key', Code::keyOf($code));
    }
}
