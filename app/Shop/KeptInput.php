<?php

namespace App\Shop;

use KeepPace\Core\Scheduling\Problem;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What a plan was computed from, kept beside it: a deed that changes no fact need not read the shop again. */
final class KeptInput
{
    /** The clock goes on: what is older than this is read anew. */
    private const MINUTES = 5;

    private static string $program = '';

    /** @param  string  $facts  the live plan's input when the shop was read; '' = not all of it was planned then */
    public function __construct(
        public readonly ShopState $shop,
        public readonly Problem $problem,
        public readonly string $facts,
    ) {
    }

    /** @param  string  $facts  the live plan's input now; '' = not all that was booked is planned */
    public function isFresh(string $facts, int $minute): bool
    {
        return $facts !== '' && $this->facts === $facts && $minute - $this->problem->now < self::MINUTES;
    }

    /** A real shop's is some 2.7 MB, packed 160 kB. What packed it stands before it. */
    public function packed(): string
    {
        return (string) gzcompress(self::program()."\n".serialize([$this->shop, $this->problem]), 1);
    }

    /** @return self|null null = it was packed by another version of the program, and is read anew */
    public static function unpack(string $packed, string $facts): ?self
    {
        [$program, $plain] = [...explode("\n", (string) gzuncompress($packed), 2), ''];
        // objects of other classes than these would break where they are used, or at once
        $parts = $program === self::program() ? unserialize($plain) : null;

        return is_array($parts) && ($parts[0] ?? null) instanceof ShopState && ($parts[1] ?? null) instanceof Problem
            ? new self($parts[0], $parts[1], $facts)
            : null;
    }

    /** What is packed are objects: the files that say what they are, and when each was written last. */
    private static function program(): string
    {
        if (self::$program === '') {
            $files = [];
            foreach ([base_path('core'), __DIR__] as $folder) {
                foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder)) as $file) {
                    if ($file instanceof SplFileInfo && $file->isFile()) {
                        $files[] = "{$file->getPathname()} {$file->getMTime()}";
                    }
                }
            }
            sort($files);
            self::$program = md5(implode("\n", $files));
        }

        return self::$program;
    }
}
