<?php

namespace App\Access;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password nobody guesses: long, not one of the common ones, not made of what others know of the person. */
final readonly class OwnPassword implements ValidationRule
{
    public const LEAST = 12;

    public const MOST = 200;

    /** Characters that are left when all that is tried first is taken out of it. */
    private const OWN = 6;

    /** Words and rows of keys that are tried first, with anything around them. */
    private const COMMON = [
        'password',
        'passwort',
        'passphrase',
        'welcome',
        'letmein',
        'letme',
        'iloveyou',
        'qwerty',
        'qwertz',
        'azerty',
        'asdfgh',
        'zxcvbn',
        'abcdef', '123456', '654321', '111111', '000000', 'administrator', 'admin', 'changeme', 'changethis', 'default',
        'monkey',
        'dragon',
        'sunshine',
        'princess',
        'football',
        'baseball',
        'superman',
        'batman',
        'trustno',
        'starwars',
        'whatever',
        'keeppace', 'production', 'supervisor',
    ];

    /** @param  list<string>  $known  login and name of the person */
    public function __construct(private array $known)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $says = is_string($value) ? $this->says($value) : 'Type a password.';
        if ($says !== null) {
            $fail($says);
        }
    }

    /** What is wrong with it; null = nothing. */
    public function says(string $password): ?string
    {
        $length = mb_strlen($password);
        $plain = self::letters($password);
        // what is left of it beside what everybody tries, with figures as they are and read as letters
        $own = min(array_map($this->own(...), [$plain, self::plain($password)]));

        return match (true) {
            $length < self::LEAST => 'Take at least '
                .self::LEAST
                .' characters: a few words of your own are easy to keep in mind.',
            $length > self::MOST => 'At most '.self::MOST.' characters.',
            count(array_unique(mb_str_split($plain))) < 5 => 'That repeats a few characters. Take words of your own.',
            $own < self::OWN => 'That is one of those tried first. Take words of your own.',
            default => null,
        };
    }

    private function own(string $plain): int
    {
        $left = str_replace([...self::COMMON, ...$this->known()], '', $plain);

        return mb_strlen((string) preg_replace('/\d+$|^\d+/', '', $left));
    }

    /** Figures and signs that stand for letters read as these. */
    private static function plain(string $password): string
    {
        return self::letters(strtr(
            $password,
            ['@' => 'a', '$' => 's', '0' => 'o', '3' => 'e', '!' => 'i', '|' => 'l'],
        ));
    }

    /** In small letters, nothing between words. */
    private static function letters(string $password): string
    {
        $small = mb_strtolower($password);
        $kept = (string) preg_replace('/[^\pL\pN]+/u', '', $small);

        return $kept === '' ? $small : $kept;
    }

    /** @return list<string> longest first, so that a part does not hide the whole */
    private function known(): array
    {
        $parts = array_merge(...array_map(
            fn (string $text): array => [self::plain($text), ...array_map(self::plain(...), explode(' ', $text))],
            $this->known,
        ));
        $parts = array_filter($parts, fn (string $part): bool => mb_strlen($part) > 3);
        usort($parts, fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));

        return $parts;
    }
}
