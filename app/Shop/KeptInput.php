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

    /** @param  ShopState|string  $shop  as it was packed, until somebody asks for it */
    private function __construct(
        private ShopState|string $shop,
        public readonly Problem $problem,
        public readonly string $facts,
    ) {
    }

    /** @param  string  $facts  the live plan's input when the shop was read; '' = not all of it was planned then */
    public static function of(ShopState $shop, Problem $problem, string $facts): self
    {
        return new self($shop, $problem, $facts);
    }

    /** Four times as much to read as the problem, and not asked for by who only looks. */
    public function shop(): ShopState
    {
        if (is_string($this->shop)) {
            $shop = unserialize((string) gzuncompress($this->shop));
            $this->shop = $shop instanceof ShopState ? $shop : throw new \LogicException('Another thing was packed.');
        }

        return $this->shop;
    }

    /** @param  string  $facts  the live plan's input now; '' = not all that was booked is planned */
    public function isFresh(string $facts, int $minute): bool
    {
        return $facts !== '' && $this->facts === $facts && $minute - $this->problem->now < self::MINUTES;
    }

    /** A real shop's is some 4 MB, packed 250 kB: what packed it, the length of the problem, it, and the shop. */
    public function packed(): string
    {
        $problem = (string) gzcompress(serialize($this->problem), 1);
        $shop = is_string($this->shop) ? $this->shop : (string) gzcompress(serialize($this->shop), 1);

        return self::program()."\n".strlen($problem)."\n{$problem}{$shop}";
    }

    /** @return self|null null = it was packed by another version of the program, and is read anew */
    public static function unpack(string $packed, string $facts): ?self
    {
        [$program, $length, $rest] = [...explode("\n", $packed, 3), '', ''];
        // objects of other classes than these would break where they are used, or at once
        $problem = $program === self::program()
            ? unserialize((string) gzuncompress(substr($rest, 0, (int) $length)))
            : null;

        return $problem instanceof Problem ? new self(substr($rest, (int) $length), $problem, $facts) : null;
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
