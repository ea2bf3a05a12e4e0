<?php

/*
 * PHP 8.5 has these functions; Laravel 12 calls them and expects a polyfill package
 * that this project's registry does not hold (composer.json says "replace"). Two small functions do.
 */

if (! function_exists('array_first')) {
    /**
     * @template T
     *
     * @param  array<array-key, T>  $array
     * @return T|null
     */
    function array_first(array $array): mixed
    {
        foreach ($array as $value) {
            return $value;
        }

        return null;
    }
}

if (! function_exists('array_last')) {
    /**
     * @template T
     *
     * @param  array<array-key, T>  $array
     * @return T|null
     */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : end($array);
    }
}

// the same for the two that Laravel's test support asks the handlers by
if (! function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(null);
        restore_error_handler();

        return $handler;
    }
}

if (! function_exists('get_exception_handler')) {
    function get_exception_handler(): ?callable
    {
        $handler = set_exception_handler(null);
        restore_exception_handler();

        return $handler;
    }
}
