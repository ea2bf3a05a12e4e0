<?php

namespace App\Queries\Apart;

use App\Reading\Named;
use App\Reading\Row;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;

/** A unit that lies free and could be taken apart. */
final readonly class UnitThere
{
    private function __construct(
        public int $balance,
        private string $place,
        private ?string $code,
        private BigDecimal $quantity,
        private ?string $owner,
    ) {
    }

    /** @return Collection<int, self> of an item */
    public static function of(int $item): Collection
    {
        $lying = Shelves::lying()
            ->leftJoin('lots AS l', Named::on('l.id', 'b.lot_id'))
            ->leftJoin('customers AS k', Named::on('k.id', 'b.owner_id'))
            ->where('b.item_id', $item)
            ->where('b.quantity', '>=', 1)
            ->orderBy('l.code')
            ->limit(500)
            ->select(['b.id', 'p.name AS place', 'l.code', 'b.quantity', 'k.name AS owner']);

        return Row::all($lying, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('place'),
            $row->textOrNull('code'),
            $row->decimal('quantity'),
            $row->textOrNull('owner'),
        ));
    }

    /** "S-1041, at Finished goods, Heather Lane's own" */
    public function says(): string
    {
        $what = $this->code ?? "{$this->quantity->toInt()} there";

        return "{$what}, at {$this->place}".($this->owner === null ? '' : ", {$this->owner}'s own");
    }
}
