<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;

/** One open step of a job: what is left of it, in whole minutes. */
final readonly class Step
{
    /** What most steps are; kept plans and searches pack thousands of them, each by what differs. */
    private const USUAL = [
        'wait' => 0,
        'move' => 0,
        'materialAt' => 0,
        'afterJobs' => [],
        'started' => false,
        'setup' => 0,
        'setupNeedsMaterial' => false,
        'setupWithRun' => false,
        'unbroken' => false,
        'family' => null,
        'size' => 1,
        'crewing' => null,
        'alternatives' => [],
        'passOn' => null,
        'pin' => null,
        'lead' => null,
        'heldBackTo' => 0,
    ];

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

    /** @return array<mixed> */
    public function __serialize(): array
    {
        $packed = get_object_vars($this);
        foreach (self::USUAL as $name => $usual) {
            if ($packed[$name] === $usual) {
                unset($packed[$name]);
            }
        }

        return $packed;
    }

    /**
     * @param  array{
     *     id: int, workCentre: int|null, minutes: int, wait?: int, move?: int, materialAt?: int,
     *     afterJobs?: list<int>, started?: bool, setup?: int, setupNeedsMaterial?: bool, setupWithRun?: bool,
     *     unbroken?: bool, family?: string|null, size?: int, crewing?: Crewing|null,
     *     alternatives?: list<Alternative>, passOn?: PassOn|null, pin?: Pin|null, lead?: OpenWindows|null,
     *     heldBackTo?: int,
     * }  $packed
     */
    public function __unserialize(array $packed): void
    {
        $this->id = $packed['id'];
        $this->workCentre = $packed['workCentre'];
        $this->minutes = $packed['minutes'];
        $this->wait = $packed['wait'] ?? 0;
        $this->move = $packed['move'] ?? 0;
        $this->materialAt = $packed['materialAt'] ?? 0;
        $this->afterJobs = $packed['afterJobs'] ?? [];
        $this->started = $packed['started'] ?? false;
        $this->setup = $packed['setup'] ?? 0;
        $this->setupNeedsMaterial = $packed['setupNeedsMaterial'] ?? false;
        $this->setupWithRun = $packed['setupWithRun'] ?? false;
        $this->unbroken = $packed['unbroken'] ?? false;
        $this->family = $packed['family'] ?? null;
        $this->size = $packed['size'] ?? 1;
        $this->crewing = $packed['crewing'] ?? null;
        $this->alternatives = $packed['alternatives'] ?? [];
        $this->passOn = $packed['passOn'] ?? null;
        $this->pin = $packed['pin'] ?? null;
        $this->lead = $packed['lead'] ?? null;
        $this->heldBackTo = $packed['heldBackTo'] ?? 0;
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
