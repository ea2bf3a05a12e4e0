<?php

namespace App\Books;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Running numbers without gaps or race: the row is locked last in a transaction and falls back with it. */
final class Numbers
{
    /** @param  string  $code  a key of pace.numbers (`Numbered`) */
    public static function next(string $code): string
    {
        return self::block($code, 1)[0];
    }

    /** @return non-empty-list<string> */
    public static function block(string $code, int $count): array
    {
        [$prefix, $next] = self::locked($code);
        DB::table('numberings')->where('code', $code)->update(['next' => $next + $count]);

        return array_map(fn (int $i): string => $prefix.($next + $i), range(0, max(0, $count - 1)));
    }

    /**
     * What is given next; nobody else draws one until the transaction ends.
     *
     * @return array{string, int} prefix and number
     */
    public static function locked(string $code): array
    {
        $row = self::row($code);
        if ($row === null) {
            self::begin($code);
            $row = self::row($code) ?? throw new \LogicException("No numbering {$code}.");
        }

        return [$row->text('prefix'), $row->int('next')];
    }

    /**
     * Asked for before it is begun: to begin one that is there leaves a shared lock on it, and two who hold that wait
     * for each other.
     */
    private static function row(string $code): ?Row
    {
        return Row::first(DB::table('numberings')->where('code', $code)->lockForUpdate(), fn (Row $row): Row => $row);
    }

    /**
     * Typed numbers, taken from a file or a person, are passed by.
     *
     * @param  list<string>  $numbers
     */
    public static function passBy(string $code, array $numbers): void
    {
        self::begin($code);
        $kept = DB::table('numberings')->where('code', $code)->value('prefix');
        $prefix = Code::keyOf(is_string($kept) ? $kept : '');
        $highest = 0;
        foreach (array_map(Code::keyOf(...), $numbers) as $number) {
            $digits = substr($number, strlen($prefix));
            if (str_starts_with($number, $prefix) && ctype_digit($digits) && strlen($digits) < 12) {
                $highest = max($highest, (int) $digits);
            }
        }
        if ($highest > 0) {
            DB::table('numberings')
                ->where('code', $code)
                ->where('next', '<=', $highest)
                ->update(['next' => $highest + 1]);
        }
    }

    /** A shop that has not said how it numbers begins as config/pace.php says. */
    private static function begin(string $code): void
    {
        /** @var array{string, int} $rule */
        $rule = config("pace.numbers.{$code}");
        DB::table('numberings')->insertOrIgnore(['code' => $code, 'prefix' => $rule[0], 'next' => $rule[1]]);
    }
}
