<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\PlaceKind;

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
    public static function end(PlaceKind $kind): self
    {
        return self::query()->where('kind', $kind->value)->firstOrFail();
    }

    /**
     * A place goods can be put at.
     *
     * @throws Refused when it is an end of moves, such as scrap or customers
     */
    public static function thatHolds(int $id, string $field = 'place_id'): self
    {
        $place = self::query()->find($id);

        return $place !== null && $place->holdsStock() ? $place
            : throw Refused::because('Nothing can be put there. Choose one of the places offered.', $field);
    }

    public function holdsStock(): bool
    {
        return PlaceKind::from($this->kind)->holdsStock();
    }
}
