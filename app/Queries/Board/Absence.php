<?php

namespace App\Queries\Board;

use App\Reading\Row;
use App\Wording\When;
use Carbon\CarbonImmutable;

/** A machine that is down, or a person who is away, now or ahead. */
final readonly class Absence
{
    /**
     * @param  string  $what  as the address of its end has it: machine or person
     * @param  string  $of  the machine, or the person's work centre
     * @param  CarbonImmutable|null  $until  null = nobody knows
     */
    public function __construct(
        public int $id,
        public string $what,
        public string $name,
        public string $of,
        public ?CarbonImmutable $from,
        private ?CarbonImmutable $until,
        public string $reason,
        public string $by,
    ) {
    }

    public static function machine(Row $row): self
    {
        $machine = $row->int('machines') > 1 ? " {$row->int('machine')}" : '';

        return self::from($row, 'machine', $row->text('name').$machine, '');
    }

    public static function person(Row $row): self
    {
        return self::from($row, 'person', $row->text('name'), $row->text('centre'));
    }

    public function untilSays(): string
    {
        return $this->until === null ? 'unknown, planned as 8 open hours from now' : When::say($this->until);
    }

    private static function from(Row $row, string $what, string $name, string $of): self
    {
        return new self(
            $row->int('id'),
            $what,
            $name,
            $of,
            $row->momentOrNull('from_at'),
            $row->momentOrNull('until_at'),
            $row->text('reason'),
            $row->text('by'),
        );
    }
}
