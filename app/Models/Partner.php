<?php

namespace App\Models;

use App\Models\Concerns\HasNumber;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/**
 * Somebody who deals with us: a customer or a supplier.
 *
 * @property int $id
 * @property string $number
 * @property string $name
 * @property string $address
 * @property string $terms
 * @property string $note
 * @property \Carbon\CarbonImmutable|null $retired_at
 * @property int $version
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Contact> $contacts
 */
abstract class Partner extends Model
{
    use HasNumber;

    public $timestamps = false;

    protected $guarded = [];

    /** @return HasMany<Contact, $this> whom to ask for, the first first */
    public function contacts(): HasMany
    {
        $relation = $this->hasMany(Contact::class);
        $relation->orderBy('position');

        return $relation;
    }

    /** "K-01 Heatherfell Apiaries" */
    public function label(): string
    {
        return "{$this->number} {$this->name}";
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['retired_at' => 'immutable_datetime'];
    }

    /** @return Collection<int|string, string> names by id, of all there ever were, to look for */
    public static function names(): Collection
    {
        return static::query()->orderBy('name')->pluck('name', 'id');
    }

    /** @return Collection<int|string, string> names by id, of those not retired, to choose from */
    public static function offered(): Collection
    {
        return static::query()->whereNull('retired_at')->orderBy('name')->pluck('name', 'id');
    }
}
