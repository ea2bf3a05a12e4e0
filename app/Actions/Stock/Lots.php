<?php

namespace App\Actions\Stock;

use App\Models\Lot;
use KeepPace\Core\Naming\Code;

/** Lots and serials by their code. */
final class Lots
{
    public static function find(int $item, string $code): ?Lot
    {
        return Lot::query()->where('item_id', $item)->firstWhere('code_key', Code::keyOf($code));
    }

    /**
     * The lot of this code, made where there is none. The item's stock is locked, so no other deed makes it meanwhile.
     *
     * @param  array<string, string|null>  $more  columns of a new one
     */
    public static function of(int $item, Code $code, array $more = []): Lot
    {
        return self::find($item, $code->typed)
            ?? Lot::query()->create(['item_id' => $item, 'code' => $code->typed, ...$more]);
    }
}
