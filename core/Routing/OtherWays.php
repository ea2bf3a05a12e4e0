<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

use KeepPace\Core\Naming\Code;

/**
 * Other work centres that can do a step, as files and forms write them: "SAW2|BENCH:150" is SAW2 in the same time,
 * BENCH in one and a half times.
 */
final class OtherWays
{
    public const PATTERN = '/^[A-Za-z0-9._-]{1,20}(:[1-9]\d{1,3})?(\|[A-Za-z0-9._-]{1,20}(:[1-9]\d{1,3})?)*$/D';

    /** @return array<string, int> percent of the time, by code as it is known */
    public static function read(string $written): array
    {
        $others = [];
        foreach ($written === '' ? [] : explode('|', $written) as $one) {
            [$code, $percent] = [...explode(':', $one), '100'];
            $others[Code::keyOf($code)] = (int) $percent;
        }

        return $others;
    }

    /** @param  array<string, int>  $ways  percent of the time, by code */
    public static function write(array $ways): string
    {
        $one = fn (string $code, int $percent): string => $percent === 100 ? $code : "{$code}:{$percent}";

        return implode('|', array_map($one, array_map(strval(...), array_keys($ways)), $ways));
    }
}
