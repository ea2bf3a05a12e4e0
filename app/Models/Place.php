<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\PlaceKind;

/**
 * Where stock lies, or an end of a move that is not stock.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property string $kind
 * @property \Carbon\CarbonImmutable|null $retired_at nothing is put there any more
 * @property int $version
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

    /** The place that stands for a supplier: what is ours there lies at it. */
    public static function ofSupplier(Supplier $supplier): self
    {
        return self::query()->firstOrCreate(
            ['supplier_id' => $supplier->id],
            [
                'code' => "AT-{$supplier->number}",
                'name' => "At {$supplier->name}",
                'kind' => PlaceKind::Supplier->value,
            ],
        );
    }

    /** @return Builder<static> places of the stores, in the order they were entered */
    public static function stores(): Builder
    {
        return self::query()->where('kind', PlaceKind::Store->value)->orderBy('id');
    }

    /** Where an item is booked in and out at once that never lies here: where it usually lies, else the first. */
    public static function passedThrough(int $item): self
    {
        $usual = Balance::query()->where('item_id', $item)->select('place_id');

        return self::stores()->whereNull('retired_at')->whereIn('id', $usual)->first()
            ?? self::stores()->whereNull('retired_at')->firstOrFail();
    }

    /** @return Collection<int, string> names of those things can be put at, by id */
    public static function offered(): Collection
    {
        return self::stores()->whereNull('retired_at')->get()->mapWithKeys(
            fn (self $place): array => [$place->id => $place->name],
        );
    }

    /**
     * A place goods can be put at.
     *
     * @throws Refused when it is an end of moves, such as scrap or customers
     */
    public static function thatHolds(int $id, string $field = 'place_id'): self
    {
        $place = self::query()->find($id);

        return $place !== null && $place->holdsStock() && $place->retired_at === null
            ? $place
            : throw Refused::because('Nothing can be put there. Choose one of the places offered.', $field);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['retired_at' => 'immutable_datetime'];
    }

    public function holdsStock(): bool
    {
        return PlaceKind::from($this->kind)->holdsStock();
    }
}
