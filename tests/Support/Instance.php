<?php

namespace Tests\Support;

use Symfony\Component\Filesystem\Filesystem;

/**
 * What one process of the suite has for itself, beside the others and beside a shop that runs from this folder: names
 * of databases, and where Laravel writes views, logs and files.
 */
final class Instance
{
    /** Settings of PHP; where its files lie is set in the environment. */
    public const OPCACHE = [
        '-d',
        'opcache.enable_cli=1',
        '-d',
        'opcache.file_cache=${PACE_STORAGE}/opcache',
        '-d',
        'opcache.file_cache_only=1',
    ];

    private const FOLDERS = [
        'app',
        'logs',
        'opcache',
        'framework/cache/data',
        'framework/sessions',
        'framework/views',
    ];

    /** Which process of a parallel run this is; 0 when it is the only one. */
    public static function token(): string
    {
        return (string) (getenv('TEST_TOKEN') ?: '0');
    }

    public static function database(string $name): string
    {
        return "{$name}_".self::token();
    }

    /** Begins with an empty folder for what is written, for this process and all it starts. */
    public static function begin(): void
    {
        $storage = (getenv('PACE_VAR') ?: dirname(__DIR__, 2).'/var').'/test-storage-'.self::token();
        $files = new Filesystem;
        $files->remove($storage);
        $files->mkdir(array_map(fn (string $folder): string => "{$storage}/{$folder}", self::FOLDERS));
        // processes that a test starts are given what stands in all three
        putenv("PACE_STORAGE={$storage}");
        $_ENV['PACE_STORAGE'] = $_SERVER['PACE_STORAGE'] = $storage;
    }
}
