<?php

namespace App\Shop;

use App\Reading\Row;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\StandIn;

/** An item that may stand in for another, and what of it is free. */
final readonly class MayStandIn
{
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $unit,
        private int $decimals,
        public int $p,
        public int $q,
        public ?string $until,
        public BigDecimal $free,
        private StandIn $standIn,
    ) {
    }

    /** @return Collection<int, self> the first first, those whose time is over too */
    public static function for(int $item): Collection
    {
        $rows = DB::table('item_substitutes AS s')
            ->join('items AS i', 'i.id', 's.substitute_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoinSub(Shelves::sums(), 'f', 'f.item_id', 'i.id')
            ->where('s.item_id', $item)
            ->orderBy('s.position')
            ->select(['i.id', 'i.number', 'i.name', 'u.code AS unit', 'u.decimals', 's.p', 's.q', 's.until_on'])
            ->selectRaw('COALESCE(f.quantity, 0) AS free');

        return Row::all($rows, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
            $row->int('decimals'),
            $row->int('p'),
            $row->int('q'),
            $row->textOrNull('until_on'),
            $row->decimal('free'),
            new StandIn(BigRational::nd($row->int('p'), $row->int('q')), $row->textOrNull('until_on')),
        ));
    }

    /** @return Collection<int, self> those that may today, the first first */
    public static function today(int $item): Collection
    {
        $today = When::today()->toDateString();

        return self::for($item)->filter(fn (self $one): bool => $one->standIn->isAllowedOn($today))->values();
    }

    /** How much of it stands in for so much of the other. */
    public function instead(BigDecimal $missing): BigDecimal
    {
        return $this->standIn->of($missing, $this->decimals);
    }

    /** "BRG-25Z, 2 for one, until 31 Dec" */
    public function says(): string
    {
        $ratio = BigRational::nd($this->p, $this->q)->simplified();

        return $this->number
            .($ratio->isEqualTo(1) ? '' : ", {$ratio} for one")
            .($this->until === null ? '' : ', until '.When::day($this->until));
    }
}
