<?php

namespace Tests\Support;

use Illuminate\Testing\TestResponse;

/** What a page says, as one reads it: its words without its tags, a space between them. */
final class Words
{
    public static function of(TestResponse $page): string
    {
        return self::in((string) $page->getContent());
    }

    public static function in(string $html): string
    {
        $seen = preg_replace('#<(script|style|svg).*?</\1>#s', '', $html);

        return trim((string) preg_replace('/\s+/', ' ', html_entity_decode(strip_tags((string) $seen))));
    }
}
