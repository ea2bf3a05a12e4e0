<?php

namespace App\Queries\Builds;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A step of a build, and what it is planned to take. */
final readonly class BuildStep
{
    private function __construct(
        public int $number,
        public string $name,
        private int $planned,
        public bool $isOutside,
        public bool $isClocked,
    ) {
    }

    /** @return Collection<int, self> */
    public static function ofOrder(int $order): Collection
    {
        $steps = DB::table('order_steps')->where('order_id', $order)->orderBy('number')
            ->select(['number', 'name', 'planned_minutes', 'supplier_id', 'spell_from']);

        return Row::all($steps, fn (Row $row): self => new self(
            $row->int('number'),
            $row->text('name'),
            $row->int('planned_minutes'),
            $row->intOrNull('supplier_id') !== null,
            $row->textOrNull('spell_from') !== null,
        ));
    }

    /** Minutes planned for so many of the pieces. */
    public function minutes(BigDecimal $pieces, BigDecimal $all): int
    {
        $minutes = BigDecimal::of($this->planned)->multipliedBy($pieces);

        return $minutes->dividedBy($all, 0, RoundingMode::HALF_UP)->toInt();
    }
}
