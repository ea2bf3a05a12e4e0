<?php

namespace App\Queries\Board;

use App\Reading\Row;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The last search for a better plan: how far it is, or what it came to. */
final readonly class LastSearch
{
    /**
     * @param  string  $state  waiting, running, done, stopped, failed
     * @param  int|null  $planId  the what-if it came to
     * @param  int  $seconds  it may take
     * @param  string  $ran  seconds, with one place
     * @param  int  $costBefore  open minutes late, and what moved steps count as
     * @param  int  $cost  likewise, the best found
     */
    private function __construct(
        public int $id,
        public string $state,
        public ?int $planId,
        public string $person,
        public int $seconds,
        public string $ran,
        public int $seed,
        public int $movedWeight,
        public int $iterations,
        public int $costBefore,
        public int $cost,
    ) {
    }

    /** @param  int|null  $id  null = the last */
    public static function find(?int $id = null): ?self
    {
        return Row::first(
            DB::table('searches AS s')
                ->join('people AS u', 'u.id', 's.person_id')
                ->when($id !== null, fn (Builder $query) => $query->where('s.id', $id))
                ->orderByDesc('s.id')
                ->select(['s.*', 'u.name AS person']),
            self::from(...),
        );
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('state'),
            $row->intOrNull('plan_id'),
            $row->text('person'),
            $row->int('seconds'),
            $row->text('ran'),
            $row->int('seed'),
            $row->int('moved_weight'),
            $row->int('iterations'),
            $row->int('cost_before'),
            $row->int('cost'),
        );
    }

    public function isUnderWay(): bool
    {
        return in_array($this->state, ['waiting', 'running'], true);
    }

    public function isBroken(): bool
    {
        return $this->state === 'failed';
    }

    /** How far it is. */
    public function progress(): string
    {
        return $this->state === 'waiting'
            ? 'The search waits for its turn.'
            : "{$this->ran} of {$this->seconds} s, {$this->tries()}.";
    }

    /** How it ended. */
    public function found(): string
    {
        $how = $this->state === 'stopped' ? 'was stopped' : 'is done';

        return "The search of {$this->person} {$how} after {$this->ran} s, {$this->tries()}.";
    }

    public function foundNothing(): string
    {
        return "No better plan found in {$this->ran} s, {$this->tries()}, seed {$this->seed}. "
            .'The plan stays as it is.';
    }

    private function tries(): string
    {
        return Figures::whole($this->iterations).' tries';
    }

    /** What else the cost holds, as an end of a sentence. */
    public function whatCounts(): string
    {
        return $this->movedWeight > 0 ? ', what moved steps count among it' : '';
    }
}
