<?php

namespace App\Queries;

use App\Reading\Row;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** An import of files: how far it is, what came of it, and what is wrong with the files. */
final readonly class ImportRow
{
    private const SHOWN = 20;

    private const RUNNING = 'running';

    private const DONE = 'done';

    private const SAYS = [
        'waiting' => 'Waiting for the worker.',
        self::RUNNING => 'Running.',
        self::DONE => 'Done.',
        'refused' => 'Not imported.',
        'failed' => 'Broken off.',
    ];

    /**
     * @param  string  $state  waiting, running, done, refused, failed
     * @param  list<array{file: string, line: int, column: string, says: string}>  $problems  the first of them
     * @param  array<string, array{new: int, changed: int, same: int}>  $result  rows by file
     * @param  bool  $isTrial  it told what it would do, and wrote nothing
     * @param  list<array{file: string, name: string}>  $new  the first of what a trial would add
     * @param  list<array{record: string, field: string, before: string, after: string}>  $changes  the first of what
     *     it would change
     */
    private function __construct(
        public int $id,
        public string $files,
        public string $state,
        public string $doing,
        public int $linesDone,
        public int $linesTotal,
        public array $problems,
        private int $problemCount,
        public array $result,
        public ?CarbonImmutable $createdAt,
        public ?string $person,
        public bool $isTrial,
        public array $new,
        public array $changes,
        private int $changeCount,
    ) {
    }

    public static function find(int $id): ?self
    {
        return Row::first(self::query()->where('i.id', $id), self::from(...));
    }

    /** @return Collection<int, self>  the last of them, newest first */
    public static function last(): Collection
    {
        return Row::all(self::query()->orderByDesc('i.id')->limit(self::SHOWN), self::from(...));
    }

    private static function query(): Builder
    {
        return DB::table('imports AS i')
            ->leftJoin('people AS p', 'p.id', 'i.person_id')
            ->select(['i.*', 'p.name AS person']);
    }

    public static function from(Row $row): self
    {
        /**
         * @var array{
         *     new?: list<array{file: string, name: string}>,
         *     changed?: list<array{record: string, field: string, before: string, after: string}>,
         * } $told
         */
        $told = json_decode($row->textOrNull('changes') ?? '[]', true) ?: [];
        /** @var list<array{file: string, line: int, column: string, says: string}> $problems */
        $problems = json_decode($row->textOrNull('problems') ?? '[]', true) ?: [];
        /** @var array<string, array{new: int, changed: int, same: int}> $result */
        $result = json_decode($row->textOrNull('result') ?? '[]', true) ?: [];

        return new self(
            $row->int('id'),
            $row->text('files'),
            $row->text('state'),
            $row->textOrNull('doing') ?? '',
            $row->int('lines_done'),
            $row->int('lines_total'),
            $problems,
            $row->intOrNull('problem_count') ?? 0,
            $result,
            $row->momentOrNull('created_at'),
            $row->textOrNull('person'),
            $row->flag('is_trial'),
            $told['new'] ?? [],
            $told['changed'] ?? [],
            $row->int('change_count'),
        );
    }

    public function isUnderWay(): bool
    {
        return $this->state === 'waiting' || $this->isRunning();
    }

    public function isRunning(): bool
    {
        return $this->state === self::RUNNING;
    }

    public function says(): string
    {
        return ($this->isTrial && $this->state === self::DONE ? 'Tried, nothing is written.' : self::SAYS[$this->state])
            ." {$this->doing}";
    }

    /** A trial that was right can be done. */
    public function canBeDone(): bool
    {
        return $this->isTrial && $this->state === self::DONE;
    }

    /** Changes beyond those that are told. */
    public function untoldChanges(): int
    {
        return max(0, $this->changeCount - count($this->changes));
    }

    /** Problems beyond those that are told. */
    public function untold(): int
    {
        return max(0, $this->problemCount - count($this->problems));
    }
}
