<?php

namespace App\Actions\Outside;

use KeepPace\Core\Outside\Whose;

/** What came of what a supplier made of parts of ours, as it was typed. */
final readonly class TypedMade
{
    /**
     * @param  string  $good  in stock units of what was bought
     * @param  string  $spoiled  pieces of it spoiled there
     * @param  string  $codes  lot, or serials one a line
     * @param  Whose|null  $whose  fault it is; null = nobody said
     * @param  array<int, array{used: string, back: string}>  $parts  by part: used in all, '' = by the ratio; come back
     */
    public function __construct(
        public string $good,
        public string $spoiled,
        public int $place,
        public string $codes = '',
        public array $parts = [],
        public ?Whose $whose = null,
    ) {
    }

    public function used(int $part): ?string
    {
        $used = $this->parts[$part]['used'] ?? '';

        return $used === '' ? null : $used;
    }

    public function back(int $part): string
    {
        $back = $this->parts[$part]['back'] ?? '';

        return $back === '' ? '0' : $back;
    }
}
