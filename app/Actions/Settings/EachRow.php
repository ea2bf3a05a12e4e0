<?php

namespace App\Actions\Settings;

use Closure;
use KeepPace\Core\Refused;

/** Rows of a list that is kept as a whole: what is wrong with any of them is told beside its field, all at once. */
final class EachRow
{
    /**
     * @template T
     *
     * @param  string  $list  what the rows are called in the form
     * @param  array<int, T>  $typed  by row of the form
     * @param  Closure(T): string  $keep  says what it did, '' where nothing differs
     * @return non-empty-list<string> what was done
     *
     * @throws Refused also when nothing differs
     */
    public static function of(string $list, array $typed, Closure $keep): array
    {
        $said = $wrong = [];
        foreach ($typed as $at => $one) {
            try {
                $said[] = $keep($one);
            } catch (Refused $refused) {
                $wrong["{$list}.{$at}.".($refused->field() ?? 'name')] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        $said = array_values(array_filter($said, fn (string $one): bool => $one !== ''));

        return $said !== [] ? $said : throw Refused::because('Nothing differs from what is there.');
    }
}
