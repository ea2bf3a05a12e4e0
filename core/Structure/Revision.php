<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** A revision of an item's structure or routing. */
final readonly class Revision
{
    /** Characters of a revision's name. */
    private const LENGTH = 12;

    /**
     * @param  string|null  $from  "YYYY-MM-DD", the first day it may be used on; null = ever
     * @param  string|null  $approvedAt  "YYYY-MM-DD HH:MM:SS"; null = it came approved, from a file
     */
    public function __construct(
        public int $id,
        public bool $isApproved,
        public ?string $from,
        public ?string $approvedAt = null,
    ) {
    }

    /**
     * The one in force on a day: of those approved and begun the one that began last; of two of one day the one that
     * was approved last, then the later made.
     *
     * @param  list<self>  $all  of one item
     */
    public static function inForce(array $all, string $day): ?self
    {
        $last = null;
        foreach ($all as $one) {
            $begun = $one->isApproved && ($one->from === null || $one->from <= $day);
            if ($begun && ($last === null || $one->order() > $last->order())) {
                $last = $one;
            }
        }

        return $last;
    }

    /**
     * What a new revision is called: the letter after the last, or the number it ends with counted on.
     *
     * @param  list<string>  $taken  revisions there are, the last one last
     */
    public static function nextCode(array $taken): string
    {
        $last = $code = $taken === [] ? '' : mb_strtoupper($taken[array_key_last($taken)]);
        $known = array_map(mb_strtoupper(...), $taken);
        $behind = 1;
        do {
            $code = match (true) {
                $code === '' => 'A',
                // PHP counts letters on: Z to AA; three are a word
                preg_match('/^[A-Z]{1,2}$/D', $code) === 1 => (string) ++$code,
                default => self::countedOn($code)
                    ?? mb_substr($last, 0, self::LENGTH - strlen((string) ++$behind)).$behind,
            };
        } while (in_array($code, $known, true));

        return $code;
    }

    /** 9 to 10, 08 to 09, R9 to R10, 2026-11 to 2026-12; null = it ends with no number, or would be too long. */
    private static function countedOn(string $code): ?string
    {
        if (preg_match('/^(.*?)([0-9]{1,9})$/Du', $code, $parts) !== 1) {
            return null;
        }
        $next = $parts[1].str_pad((string) ((int) $parts[2] + 1), strlen($parts[2]), '0', STR_PAD_LEFT);

        return mb_strlen($next) > self::LENGTH ? null : $next;
    }

    /** @return array{string, string, int} */
    private function order(): array
    {
        return [$this->from ?? '', $this->approvedAt ?? '', $this->id];
    }
}
