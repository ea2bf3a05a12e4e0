<?php

namespace App\Shop;

use KeepPace\Core\Naming\Code;

/**
 * Other work centres that can do a step, as a routing writes them: "SAW2|BENCH:150" is SAW2 in the same time, BENCH in
 * one and a half times.
 */
final class StepAlternatives
{
    public const PATTERN = '/^[A-Za-z0-9._-]{1,20}(:[1-9]\d{1,3})?(\|[A-Za-z0-9._-]{1,20}(:[1-9]\d{1,3})?)*$/';

    /** @return array<string, int> percent of the time, by code in lower case */
    public static function read(string $written): array
    {
        $others = [];
        foreach ($written === '' ? [] : explode('|', $written) as $one) {
            [$code, $percent] = [...explode(':', $one), '100'];
            $others[Code::keyOf($code)] = (int) $percent;
        }

        return $others;
    }
}
