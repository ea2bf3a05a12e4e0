<?php

namespace App\Console;

use Illuminate\Console\Command;

/**
 * What was given on the command line, as text; '' where nothing was.
 *
 * @phpstan-require-extends Command
 */
trait ReadsText
{
    private function argumentText(string $name): string
    {
        $given = $this->argument($name);

        return is_string($given) ? $given : '';
    }

    private function optionText(string $name): string
    {
        $given = $this->option($name);

        return is_scalar($given) ? (string) $given : '';
    }
}
