<?php

declare(strict_types=1);

namespace KeepPace\Core\Naming;

use KeepPace\Core\Refused;
use Normalizer;

/**
 * A number, code or login that people type, scan and print. It is kept as typed; two that differ only in capitals are
 * one. The database keeps the folded key beside it (LOWER in utf8mb4_nopad_bin): the characters allowed are those it
 * folds as PHP does.
 */
final readonly class Code
{
    /** What any label printer and QR code carries: ASCII, the letters of Europe, a few signs of measure. */
    private const CARRIED = '\x20-\x7E°µ²³·×À-ÖØ-öø-ſΆ-ώЀ-џ';

    private function __construct(public string $typed)
    {
    }

    /** @throws Refused naming the character no label carries */
    public static function of(string $typed, string $field = 'code'): self
    {
        $code = self::tidy($typed);
        $wrong = self::wrong($code);

        return $wrong === null ? new self($code) : throw Refused::because($wrong, $field);
    }

    /** A sentence on what is wrong with it; null = nothing. */
    public static function wrong(string $typed): ?string
    {
        if (preg_match('/[^'.self::CARRIED.']/u', $typed, $found) === 1) {
            $shown = preg_match('/^[\p{L}\p{N}\p{P}\p{S}]$/u', $found[0]) === 1 ? " ({$found[0]})" : '';

            return "'{$typed}' holds a character no label carries{$shown}. Use letters, figures and plain signs.";
        }

        return preg_last_error() === PREG_NO_ERROR ? null : 'This is not readable text. Type it again.';
    }

    /** What it is known by, whatever was typed: for looking up, never refused. */
    public static function keyOf(string $typed): string
    {
        return mb_convert_case(self::tidy($typed), MB_CASE_LOWER_SIMPLE, 'UTF-8');
    }

    public function key(): string
    {
        return self::keyOf($this->typed);
    }

    /** Trimmed, and letters with accents as one character (Unicode NFC). */
    private static function tidy(string $typed): string
    {
        $normal = Normalizer::normalize($typed, Normalizer::FORM_C);

        return trim(is_string($normal) ? $normal : $typed, " \t\n\r\u{A0}");
    }
}
