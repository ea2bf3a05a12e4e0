<?php

namespace App\Reading;

use KeepPace\Core\Naming\Code;

/** What a person typed into a find box, as SQL's LIKE takes it. */
final class Like
{
    /** Anywhere in a name. */
    public static function inside(string $text): string
    {
        return '%'.addcslashes($text, '%_\\').'%';
    }

    /** Anywhere in the key of a number or code. */
    public static function insideKey(string $text): string
    {
        return self::inside(Code::keyOf($text));
    }

    /** At the beginning of the key of a number or code. */
    public static function beginsKey(string $text): string
    {
        return substr(self::insideKey($text), 1);
    }
}
