<?php

namespace Tests\Support;

/** Which folders of the application import which. */
final class Rooms
{
    private const APP = __DIR__.'/../../app/';

    /** @return array<string, list<string>> folders it imports, by file; both below app/ */
    public static function uses(): array
    {
        $uses = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::APP)) as $file) {
            if (! $file->isFile() || $file->getExtension() !== 'php') {
                continue;
            }
            $name = substr($file->getPathname(), strlen(self::APP));
            $code = (string) preg_replace('/^namespace .*$/m', '', (string) file_get_contents($file->getPathname()));
            preg_match_all('/\\\\?App\\\\((?:\w+\\\\)+)\w+/', $code, $found);
            $folders = array_map(fn (string $of): string => str_replace('\\', '/', rtrim($of, '\\')), $found[1]);
            $uses[$name] = array_values(array_unique(array_diff($folders, [dirname($name)])));
        }

        return $uses;
    }

    /** @return list<string> folders that import each other round and round */
    public static function rings(): array
    {
        $graph = [];
        foreach (self::uses() as $file => $folders) {
            $graph[dirname($file)] = array_unique([...$graph[dirname($file)] ?? [], ...$folders]);
        }

        return self::ringsOf($graph);
    }

    /**
     * @param  array<string, array<string>>  $graph
     * @return list<string>
     */
    public static function ringsOf(array $graph): array
    {
        $reached = [];
        foreach (array_keys($graph) as $from) {
            $open = $graph[$from];
            while ($open !== []) {
                $to = array_pop($open);
                if (! isset($reached[$from][$to])) {
                    $reached[$from][$to] = true;
                    $open = [...$open, ...$graph[$to] ?? []];
                }
            }
        }
        $rings = [];
        foreach (array_keys($graph) as $one) {
            if (isset($reached[$one][$one])) {
                $ring = array_filter(array_keys($graph), fn (string $other): bool => isset($reached[$one][$other])
                    && isset($reached[$other][$one]));
                sort($ring);
                $rings[] = implode(', ', $ring);
            }
        }

        return array_values(array_unique($rings));
    }
}
