<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Windows;

/** When what an operation needs is there. Minutes from the net's origin. */
final readonly class Arrival
{
    /**
     * @param  int  $ready  it may begin
     * @param  list<array{int, int}>  $lasts  of steps that pass on parts: when the last part comes, and how long that
     *     one takes here
     */
    public function __construct(public int $ready, public array $lasts = [])
    {
    }

    /** Before when it must not end where its run goes by these hours: the last parts come no sooner. */
    public function atLeast(Windows $runOpen): int
    {
        $atLeast = 0;
        foreach ($this->lasts as [$out, $minutes]) {
            $atLeast = max($atLeast, $runOpen->finish($out, $minutes));
        }

        return $atLeast;
    }
}
