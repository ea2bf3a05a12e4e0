<?php

namespace App\Actions\Builds;

use App\Actions\Stock\TrackedCodes;

/** How much of a part was used, as it was typed. */
final readonly class TypedPart
{
    /**
     * @param  string  $quantity  '' = what the pieces take
     * @param  string  $codes  lots or serials, one a line; of several lots each with how much: "H-1 = 20"; '' = by the
     *     item's rule
     */
    public function __construct(public string $quantity = '', public string $codes = '')
    {
    }

    /**
     * @param  string  $all  of what is used
     * @param  bool  $isSerial  each is one
     * @return list<array{code: string, place: null, quantity: string}>
     */
    public function splits(string $all, bool $isSerial): array
    {
        $lines = TrackedCodes::listed($this->codes);
        $each = $isSerial ? '1' : (count($lines) === 1 ? $all : '');

        return array_map(function (string $line) use ($each): array {
            [$code, $quantity] = [...array_map(trim(...), explode('=', $line, 2)), ''];

            return ['code' => $code, 'place' => null, 'quantity' => $quantity === '' ? $each : $quantity];
        }, $lines);
    }
}
