<?php

namespace App\Books;

use Brick\Math\BigDecimal;

/** Whether what a file says differs from what stands in a table: numbers by their value, all else as text. */
final class RowDiff
{
    /**
     * @param  array<string, mixed>  $old
     * @param  array<string, mixed>  $values  by column
     */
    public static function differs(array $old, array $values): bool
    {
        return self::of($old, $values) !== [];
    }

    /**
     * @param  array<string, mixed>  $old
     * @param  array<string, mixed>  $values  by column
     * @return list<string>  columns that are not the same
     */
    public static function of(array $old, array $values): array
    {
        $differs = fn (string $column): bool => ! self::isSame($old[$column] ?? null, $values[$column]);

        return array_values(array_filter(array_keys($values), $differs));
    }

    public static function isSame(mixed $was, mixed $is): bool
    {
        return is_numeric($was) && is_numeric($is)
            ? BigDecimal::of((string) $was)->isEqualTo((string) $is)
            : self::text($was) === self::text($is);
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
