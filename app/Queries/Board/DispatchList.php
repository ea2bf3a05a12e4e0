<?php

namespace App\Queries\Board;

use App\Models\Person;
use App\Models\WorkCentre;
use App\Reading\Cut;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a work centre, one of its machines or one of its people does next, in sequence, and whether it can begin. */
final readonly class DispatchList
{
    private const MOST = 200;

    public const HEAD = [
        'Machine',
        'Start',
        'End',
        'Order',
        'Step',
        'Item',
        'Pieces',
        'Setup family',
        'Ready',
        'Papers',
    ];

    private const SPANS = [1 => 'a day', 2 => '2 days', 7 => 'a week', 30 => 'a month'];

    /**
     * @param  int|null  $machine  of the work centre; null = all of them
     * @param  int  $days  ahead
     * @param  Cut<DispatchRow>  $cut
     */
    private function __construct(
        public WorkCentre $centre,
        public ?int $machine,
        public ?Person $person,
        public int $days,
        public Cut $cut,
    ) {
    }

    public static function of(int $centre, ?int $machine = null, ?int $person = null, int $days = 7): self
    {
        $who = $person === null
            ? null
            : Person::query()->where('work_centre_id', $centre)->find($person);
        $steps = DispatchSteps::planned()
            ->where('p.work_centre_id', $centre)
            ->when($machine !== null, fn (Builder $query) => $query->where('p.machine', $machine))
            // what runs unattended needs nobody
            ->when($who !== null, fn (Builder $query) => $query->where('s.crew', '>', 0))
            ->where('p.start_at', '<', now()->addDays($days));

        return new self(
            WorkCentre::query()->findOrFail($centre),
            $machine,
            $who,
            $days,
            Cut::read($steps, self::MOST, DispatchRow::from(...)),
        );
    }

    /** @return Collection<int, string> names of the people of a work centre, by id */
    public static function people(int $centre): Collection
    {
        return DB::table('people')
            ->where('work_centre_id', $centre)
            ->where('is_there', true)
            ->orderBy('name')
            ->pluck('name', 'id');
    }

    /**
     * How far ahead it can be asked for.
     *
     * @return array<int, string> said by days
     */
    public static function spans(): array
    {
        return self::SPANS;
    }

    public function title(): string
    {
        return $this->centre->name
            .($this->machine === null ? '' : " {$this->machine}")
            .($this->person === null ? '' : ", {$this->person->name}");
    }

    /** "4 steps, 2 can start now." */
    public function says(): string
    {
        $ready = $this->cut->rows->filter(fn (DispatchRow $row): bool => $row->canStart())->count();

        return Figures::count($this->cut->rows->count(), 'step').", {$ready} can start now.";
    }

    /** @return list<int>  its machines, where it has several */
    public function machines(): array
    {
        return $this->centre->machines > 1 ? range(1, $this->centre->machines) : [];
    }

    /** Rows of several machines stand in it. */
    public function isOfSeveral(): bool
    {
        return $this->machine === null && $this->machines() !== [];
    }

    /** @return array<string, int>  the machine or person it is narrowed to, as it stands in addresses */
    public function narrowedTo(): array
    {
        return array_filter(['machine' => $this->machine, 'person' => $this->person?->id]);
    }

    /** @return array<string, int>  of this list, as it stands in addresses */
    public function address(?int $days = null): array
    {
        return ['centre' => $this->centre->id, ...$this->narrowedTo(), 'days' => $days ?? $this->days];
    }

    /** @return array<string, int>  of one machine of the work centre, as it stands in addresses */
    public function ofMachine(int $machine): array
    {
        return [...$this->ofAll(), 'machine' => $machine];
    }

    /** @return array<string, int>  of one of its people */
    public function ofPerson(int $person): array
    {
        return [...$this->ofAll(), 'person' => $person];
    }

    /** @return array<string, int>  of the whole work centre */
    public function ofAll(): array
    {
        return ['centre' => $this->centre->id, 'days' => $this->days];
    }

    /** @return list<list<string>> as printed and as CSV; times as ISO 8601 when $iso */
    public function table(bool $iso): array
    {
        return array_values($this->cut->rows->map(fn (DispatchRow $row): array => $row->cells($iso))->all());
    }
}
