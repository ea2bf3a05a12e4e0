<?php

namespace App\Http\Requests;

/** What may stand in a field, bounded by what its column holds. Meaning (unit, stock, state) is core's to check. */
final class Rules
{
    /** @return list<mixed> above zero, of any unit */
    public static function amount(): array
    {
        return ['bail', new PlainNumber(above: true)];
    }

    /** @return list<mixed> */
    public static function amountOrZero(): array
    {
        return ['bail', new PlainNumber];
    }

    /** @return list<mixed> euros for one stock unit */
    public static function price(): array
    {
        return ['bail', new PlainNumber(most: '9999999')];
    }

    /** @return list<mixed> */
    public static function setupMinutes(): array
    {
        return ['bail', new PlainNumber(most: '99999', decimals: 2)];
    }

    /** @return list<mixed> minutes for a piece or a batch, or pieces an hour */
    public static function runRate(): array
    {
        return ['bail', new PlainNumber(most: '99999')];
    }

    /** @return list<mixed> euros, or per cent, with what a work centre or a step is costed */
    public static function rate(string $most): array
    {
        return ['nullable', 'bail', new PlainNumber(most: $most, decimals: 4)];
    }

    /** @return list<string> of a row; that it is there, the deed asks under its lock */
    public static function id(): array
    {
        return ['bail', 'integer', 'between:1,999999999999999999'];
    }

    /** @return list<string> */
    public static function version(): array
    {
        return ['required', 'bail', 'integer', 'between:0,4294967295'];
    }

    /** @return list<string> the number of a step */
    public static function step(): array
    {
        return ['bail', 'integer', 'between:1,9999'];
    }

    /** @return list<mixed> a day, typed as people do */
    public static function day(): array
    {
        return ['bail', new PlainDay];
    }

    /** @return list<mixed> a day on which something is to be done here: a closed one is asked about */
    public static function workedDay(): array
    {
        return ['bail', new PlainDay(isWorked: true)];
    }

    /** @return list<mixed> until when something is good */
    public static function farDay(): array
    {
        return ['bail', new PlainDay(yearsAhead: 50)];
    }

    /** @return list<string> */
    public static function text(int $most): array
    {
        return ['bail', 'string', "max:{$most}"];
    }

    /** @return list<string> a number or code as people type it */
    public static function code(): array
    {
        return self::text(60);
    }
}
