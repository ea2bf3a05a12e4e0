<?php

namespace App\Books;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Running numbers without gaps or race: the row is locked last in a transaction and falls back with it. */
final class Numbers
{
    /** @param  string  $code a key of pace.numbers */
    public static function next(string $code): string
    {
        return self::block($code, 1)[0];
    }

    /** @return non-empty-list<string> */
    public static function block(string $code, int $count): array
    {
        /** @var array{string, int} $rule */
        $rule = config("pace.numbers.{$code}");
        DB::table('numberings')->insertOrIgnore(['code' => $code, 'prefix' => $rule[0], 'next' => $rule[1]]);
        $row = Row::first(DB::table('numberings')->where('code', $code)->lockForUpdate(), fn (Row $row): Row => $row)
            ?? throw new \LogicException("No numbering {$code}.");
        [$prefix, $next] = [$row->text('prefix'), $row->int('next')];
        DB::table('numberings')->where('code', $code)->update(['next' => $next + $count]);

        return array_map(fn (int $i): string => $prefix.($next + $i), range(0, max(0, $count - 1)));
    }

    /**
     * Typed numbers, taken from a file or a person, are passed by.
     *
     * @param  list<string>  $numbers
     */
    public static function passBy(string $code, array $numbers): void
    {
        /** @var array{string, int} $rule */
        $rule = config("pace.numbers.{$code}");
        $highest = 0;
        $prefix = Code::keyOf($rule[0]);
        foreach (array_map(Code::keyOf(...), $numbers) as $number) {
            $digits = substr($number, strlen($prefix));
            if (str_starts_with($number, $prefix) && ctype_digit($digits) && strlen($digits) < 12) {
                $highest = max($highest, (int) $digits);
            }
        }
        if ($highest > 0) {
            DB::table('numberings')->insertOrIgnore(['code' => $code, 'prefix' => $rule[0], 'next' => $rule[1]]);
            DB::table('numberings')
                ->where('code', $code)
                ->where('next', '<=', $highest)
                ->update(['next' => $highest + 1]);
        }
    }
}
