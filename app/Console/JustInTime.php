<?php

namespace App\Console;

/** PHP's compiler to machine code, without which a search makes a half to a third of its moves. */
final class JustInTime
{
    private const FLAGS = [
        '-d',
        'opcache.enable_cli=1',
        '-d',
        'opcache.jit_buffer_size=64M',
        '-d',
        'opcache.jit=tracing',
        '-d',
        'memory_limit=1G',
    ];

    /** Begins the command again with it, in the same process, unless it is on or cannot be had. */
    public static function orAgain(): void
    {
        if (
            self::isOn()
            || getenv('PACE_BEGUN_AGAIN') !== false
            || ! function_exists('pcntl_exec')
            || app()->runningUnitTests()
        ) {
            return;
        }
        /** @var list<string> $arguments */
        $arguments = $_SERVER['argv'];
        pcntl_exec(PHP_BINARY, [...self::FLAGS, ...$arguments], [...getenv(), 'PACE_BEGUN_AGAIN' => '1']);
    }

    public static function isOn(): bool
    {
        $status = function_exists('opcache_get_status') ? opcache_get_status(false) : false;

        return ($status['jit']['on'] ?? false) === true;
    }

    /**
     * Whole functions that run hot from now on, not traces through them: the annealing is one long loop of many
     * branches, more than are traced. To be called before its class is loaded.
     */
    public static function byFunction(): void
    {
        if (self::isOn()) {
            ini_set('opcache.jit', '1235');
        }
    }
}
