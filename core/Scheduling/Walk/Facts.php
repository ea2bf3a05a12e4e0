<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Loading\Pinned;
use KeepPace\Core\Scheduling\Net\FlatWindows;
use KeepPace\Core\Scheduling\Net\Net;

/** What no move of a walk changes, in flat lists: by operation, if nothing else is said. Minutes from now. */
final class Facts
{
    public readonly FlatWindows $flat;

    /** How many machines the widest work centre has. */
    public readonly int $wide;

    /** @var list<int> the one operation most wait for; -1 = none */
    public array $previous = [];

    /** @var list<list<int>|null> the others it waits for */
    public array $moreBefore = [];

    /** @var list<int> the one operation that waits for most; -1 = none */
    public array $next = [];

    /** @var list<list<int>|null> the others that wait for it */
    public array $moreAfter = [];

    /** @var array<int, int> the job it is a last operation of; -1 = none */
    public array $tailOf;

    /** @var list<int> by job; 0 = how late it is does not matter */
    public array $weight = [];

    /** @var array<int, bool> it stays where it is */
    public array $fixed;

    /** @var array<int, Pinned|null> */
    public array $pinned;

    /** @var array<int, int> open minutes from its setup's end to its first part; -1 = it passes none on */
    public array $firstPart;

    /** @var array<int, int> open minutes the next step takes for its last part; -1 = it passes none on */
    public array $lastPart;

    /** @var list<bool> what waits for it may begin when it ends */
    public array $isPlainOut = [];

    /** Machines are kept free for pinned operations. */
    public readonly bool $isPinning;

    /** Some operations begin with the first parts of others. */
    public readonly bool $isPassing;

    /** It costs something to start elsewhere than planned. */
    public readonly bool $isPriced;

    /** @param  Stands  $stands  what is fixed is not moved; it comes first in every order given */
    public function __construct(public readonly Net $net, public readonly Shop $shop, public readonly Stands $stands)
    {
        $this->flat = new FlatWindows($shop->calendars);
        $this->wide = $net->machines === [] ? 1 : max($net->machines);
        $this->isPinning = $shop->kept !== [];
        $this->isPassing = $shop->passes !== [];
        $this->isPriced = $stands->price !== [];
        $this->tailOf = $this->firstPart = $this->lastPart = array_fill(0, $net->count, -1);
        $this->fixed = array_fill(0, $net->count, false);
        foreach ($stands->fixed as $x) {
            $this->fixed[$x] = true;
        }
        $this->pinned = array_fill(0, $net->count, null);
        foreach ($shop->pinned as $x => $pin) {
            $this->pinned[$x] = $pin;
        }
        foreach ($shop->passes as $x => $pass) {
            [$this->firstPart[$x], $this->lastPart[$x]] = [$pass->first, $pass->last];
        }
        $this->neighbours();
        foreach ($net->tails as $job => $tails) {
            foreach ($tails as $x) {
                $this->tailOf[$x] = $job;
            }
        }
        foreach ($net->jobs as $job) {
            $this->weight[] = isset($net->unplaced[$job->id]) || $job->due === null ? 0 : $job->weight;
        }
    }

    /** What waits for what, but whole for a first part. */
    private function neighbours(): void
    {
        foreach ($this->net->step as $x => $step) {
            $before = array_values(array_diff($this->net->before[$x], [$this->shop->partsFrom[$x]]));
            $after = $this->net->after[$x];
            $this->previous[] = $before[0] ?? -1;
            $this->moreBefore[] = count($before) > 1 ? array_slice($before, 1) : null;
            $this->next[] = $after[0] ?? -1;
            $this->moreAfter[] = count($after) > 1 ? array_slice($after, 1) : null;
            $this->isPlainOut[] = $step->wait === 0 && $step->move === 0;
        }
    }
}
