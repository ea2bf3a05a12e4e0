<?php

namespace App\View\Components;

use App\Queries\Station\StationJob;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** What is done with a job at a station: begun, counted, passed on. */
class StationCount extends Component
{
    /** It is what the person at the station comes for. */
    public readonly bool $isOpen;

    public readonly string $minutes;

    public readonly string $button;

    /** @param  int|null  $clock  minutes a count would book now */
    public function __construct(public readonly StationJob $job, ?int $clock, bool $first)
    {
        $this->isOpen = $first || $job->isRunning() || (new Typed($job->form()))->isMine();
        $this->minutes = $clock === null ? '0' : "{$clock} by the clock";
        $this->button = $job->next === null ? 'Count' : 'Count and pass on';
    }

    public function render(): View
    {
        return view('components.station-count');
    }
}
