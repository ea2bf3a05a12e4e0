<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file in the store, known by what is in it.
 *
 * @property int $id
 * @property string $hash
 * @property string $type as `FileType` has it
 * @property int $bytes
 * @property int|null $width points, of a picture
 * @property int|null $height
 */
class KeptFile extends Model
{
    public $timestamps = false;

    protected $table = 'files';

    protected $guarded = [];
}
