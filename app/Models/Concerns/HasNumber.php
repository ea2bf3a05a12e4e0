<?php

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Naming\Code;

/**
 * Found by the number people know it by.
 *
 * @phpstan-require-extends Model
 */
trait HasNumber
{
    /** @param  string  $number  as typed, in capitals or not */
    public static function numbered(string $number): ?static
    {
        return static::query()->firstWhere('number_key', Code::keyOf($number));
    }
}
