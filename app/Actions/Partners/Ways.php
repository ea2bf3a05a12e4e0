<?php

namespace App\Actions\Partners;

use KeepPace\Core\Refused;

/** Telephones or mails as they are typed: several in one field, parted by commas. */
final class Ways
{
    /** Digits with what people part them by, a plus for the country. */
    private const PHONE = '/^\+?[0-9][0-9 ()\/.\-]{2,28}$/D';

    private const LONGEST = 120;

    /** So many of each a contact has at most. */
    private const MOST = 12;

    /**
     * @return list<string> each once
     *
     * @throws Refused with the first that is none
     */
    public static function phones(string $typed): array
    {
        return self::each($typed, 'telephone number', fn (string $one): bool => preg_match(self::PHONE, $one) === 1);
    }

    /**
     * @return list<string> each once
     *
     * @throws Refused with the first that is none
     */
    public static function mails(string $typed): array
    {
        $isMail = fn (string $one): bool => filter_var($one, FILTER_VALIDATE_EMAIL) !== false
            && mb_strlen($one) <= self::LONGEST;

        return self::each($typed, 'mail address', $isMail);
    }

    /**
     * @param  callable(string): bool  $isRight
     * @return list<string>
     *
     * @throws Refused
     */
    private static function each(string $typed, string $what, callable $isRight): array
    {
        $all = array_map(trim(...), preg_split('/[,;|]/', $typed) ?: []);
        $all = array_values(array_unique(array_filter($all, fn (string $one): bool => $one !== '')));
        foreach ($all as $one) {
            if (! $isRight($one)) {
                throw Refused::because("'".mb_strimwidth($one, 0, 40, '…')."' is no {$what}.");
            }
        }

        return count($all) <= self::MOST
            ? $all
            : throw Refused::because('So many are more than can be meant: '.self::MOST.' at most.');
    }
}
