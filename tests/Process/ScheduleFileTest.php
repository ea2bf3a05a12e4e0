<?php

use Symfony\Component\Process\Process;

function scheduled(array $env): string
{
    $command = new Process(
        [
            PHP_BINARY,
            '-d',
            'opcache.enable_cli=0',
            'artisan',
            'pace:schedule-file',
            'tests/Core/Scheduling/cases/tiny-c.json',
            '--iterations=20000',
            '--seconds=60',
        ],
        dirname(__DIR__, 2),
        ['APP_ENV' => 'local', ...$env],
        null,
        120,
    );

    return $command->mustRun()->getOutput();
}

it('begins again with the JIT when it is off, and finds the same', function () {
    // the proven optimum, by exhaustive search
    expect(scheduled(['PACE_BEGUN_AGAIN' => false]))->toContain('weighted tardiness 9240, sum of completions 39020')
        ->not->toContain('without JIT')
        ->and(scheduled(['PACE_BEGUN_AGAIN' => '1']))->toContain('weighted tardiness 9240, sum of completions 39020')
        ->toContain('without JIT');
});
