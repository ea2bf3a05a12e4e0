<?php

namespace App\Queries\Board;

use App\Reading\Row;

/** A step where a plan has it. */
final readonly class BoardBar
{
    /**
     * @param  int  $centre  0 = at a supplier
     * @param  int  $machine  0 = likewise
     * @param  int  $start  UTC minute
     * @param  int  $run  UTC minute at which its setup is done
     * @param  int  $end  UTC minute
     * @param  int  $home  work centre its routing has it on; 0 = none
     */
    private function __construct(
        public int $id,
        private int $centre,
        private int $machine,
        public int $start,
        private int $run,
        public int $end,
        private int $order,
        private int $number,
        private string $name,
        private bool $isStarted,
        private bool $isPinned,
        private string $supplier,
        private string $family,
        private int $home,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('centre'),
            $row->int('machine'),
            $row->int('start'),
            $row->int('run'),
            $row->int('end'),
            $row->int('order_id'),
            $row->int('number'),
            $row->text('name'),
            $row->flag('is_started'),
            $row->flag('is_pinned'),
            $row->textOrNull('supplier') ?? '',
            $row->textOrNull('family') ?? '',
            $row->intOrNull('home') ?? 0,
        );
    }

    /**
     * As the board's script reads it.
     *
     * @param  bool  $isOverdue  some of it should be back from its supplier
     * @param  array<int, int>  $ways  percent of the time by other work centre
     * @return list<int|string|list<int>>
     */
    public function drawn(bool $isOverdue, array $ways): array
    {
        return [
            $this->id,
            $this->centre,
            $this->machine,
            $this->start,
            $this->run,
            $this->end,
            $this->order,
            $this->number,
            $this->name,
            $this->isStarted ? 1 : 0,
            $this->isPinned ? 1 : 0,
            $this->supplier,
            $this->family,
            $isOverdue ? 1 : 0,
            $ways === [] ? [] : [$this->home, ...array_keys($ways)],
        ];
    }
}
