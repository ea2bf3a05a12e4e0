<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;

/** One open step of a job: what is left of it, in whole minutes. */
final readonly class Step
{
    /**
     * @param  int|null  $workCentre  key into the problem's work centres; null = done outside
     * @param  int  $minutes  open minutes of run left; for an outside step minutes in the supplier's calendar, or
     *     elapsed ones
     * @param  int  $wait  minutes after the end, in closed time too
     * @param  int  $move  open minutes after that
     * @param  int  $materialAt  not before this UTC minute
     * @param  list<int>  $afterJobs  jobs that must be finished first
     * @param  bool  $started  running now: keeps its machine from now on
     * @param  int  $setup  open minutes before the run; a changeover of families comes on top
     * @param  bool  $setupNeedsMaterial  setting up waits for the material and the step before too
     * @param  bool  $setupWithRun  the run begins the minute the setup ends: no night between them
     * @param  bool  $unbroken  may not be interrupted: all of it in one open window
     * @param  string|null  $family  setup family; a batch holds one family
     * @param  int  $size  what it takes of a batch's capacity
     * @param  list<Alternative>  $alternatives  other work centres that can do it
     * @param  PassOn|null  $passOn  the next step of the job may begin when a first part is through
     * @param  Pin|null  $pin  where a person has put it
     * @param  OpenWindows|null  $lead  the supplier's calendar; null = elapsed time
     * @param  int  $heldBackTo  not before this UTC minute, on purpose
     */
    public function __construct(
        public int $id,
        public ?int $workCentre,
        public int $minutes,
        public int $wait = 0,
        public int $move = 0,
        public int $materialAt = 0,
        public array $afterJobs = [],
        public bool $started = false,
        public int $setup = 0,
        public bool $setupNeedsMaterial = false,
        public bool $setupWithRun = false,
        public bool $unbroken = false,
        public ?string $family = null,
        public int $size = 1,
        public ?Crewing $crewing = null,
        public array $alternatives = [],
        public ?PassOn $passOn = null,
        public ?Pin $pin = null,
        public ?OpenWindows $lead = null,
        public int $heldBackTo = 0,
    ) {
    }

    /**
     * Its material comes otherwise.
     *
     * @param  list<int>  $afterJobs  jobs that must be finished first
     */
    public function suppliedAt(int $materialAt, array $afterJobs): self
    {
        return $this->with($materialAt, $afterJobs, $this->heldBackTo);
    }

    /** Not begun before a minute, though it could be. */
    public function heldBack(int $to): self
    {
        return $this->with($this->materialAt, $this->afterJobs, $to);
    }

    /** @param  list<int>  $afterJobs */
    private function with(int $materialAt, array $afterJobs, int $heldBackTo): self
    {
        return new self(
            $this->id,
            $this->workCentre,
            $this->minutes,
            $this->wait,
            $this->move,
            $materialAt,
            $afterJobs,
            $this->started,
            $this->setup,
            $this->setupNeedsMaterial,
            $this->setupWithRun,
            $this->unbroken,
            $this->family,
            $this->size,
            $this->crewing,
            $this->alternatives,
            $this->passOn,
            $this->pin,
            $this->lead,
            $heldBackTo,
        );
    }
}
