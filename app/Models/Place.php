<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Where stock lies, or an end of a move that is not stock.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property string $kind
 */
class Place extends Model
{
    public $timestamps = false;

    protected $table = 'places';

    protected $guarded = [];

    /** Places that are the ends of moves and hold no balance. */
    public static function end(string $kind): self
    {
        return self::query()->where('kind', $kind)->firstOrFail();
    }

    public function holdsStock(): bool
    {
        return in_array($this->kind, ['store', 'supplier'], true);
    }
}
