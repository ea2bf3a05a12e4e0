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

    private const SAYS = [
        'waiting' => 'Waiting for the worker.',
        self::RUNNING => 'Running.',
        'done' => 'Done.',
        'refused' => 'Not imported.',
        'failed' => 'Broken off.',
    ];

    /**
     * @param  string  $state  waiting, running, done, refused, failed
     * @param  list<array{file: string, line: int, column: string, says: string}>  $problems  the first of them
     * @param  array<string, array{new: int, changed: int, same: int}>  $result  rows by file
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
            ->leftJoin('people AS p', 'p.id', 'i.user_id')
            ->select(['i.*', 'p.name AS person']);
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('files'),
            $row->text('state'),
            $row->textOrNull('doing') ?? '',
            $row->int('lines_done'),
            $row->int('lines_total'),
            json_decode($row->textOrNull('problems') ?? '[]', true) ?: [],
            $row->intOrNull('problem_count') ?? 0,
            json_decode($row->textOrNull('result') ?? '[]', true) ?: [],
            $row->momentOrNull('created_at'),
            $row->textOrNull('person'),
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
        return self::SAYS[$this->state]." {$this->doing}";
    }

    /** Problems beyond those that are told. */
    public function untold(): int
    {
        return max(0, $this->problemCount - count($this->problems));
    }
}
