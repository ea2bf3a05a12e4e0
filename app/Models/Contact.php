<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Whom to ask for at a customer or supplier.
 *
 * @property int $id
 * @property int|null $customer_id
 * @property int|null $supplier_id
 * @property int $position 1 = first
 * @property string $name
 * @property string $asked_about
 * @property-read \Illuminate\Database\Eloquent\Collection<int, ContactWay> $ways
 */
class Contact extends Model
{
    public $timestamps = false;

    protected $table = 'contacts';

    protected $guarded = [];

    /** @return HasMany<ContactWay, $this> */
    public function ways(): HasMany
    {
        $relation = $this->hasMany(ContactWay::class);
        $relation->orderBy('id');

        return $relation;
    }

    /** @return list<string> telephones (phone) or mails (mail) */
    public function at(string $kind): array
    {
        return array_values($this->ways->where('kind', $kind)->map(fn (ContactWay $way): string => $way->at)->all());
    }
}
