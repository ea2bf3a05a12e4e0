<?php

namespace App\Queries\Partners;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The statement of a customer's own material (W19): what came, what became of it, what we replaced, what is left. */
final readonly class OwnMaterial
{
    /**
     * @param  BigDecimal  $used  in their orders
     * @param  BigDecimal  $replaced  used of ours in its place
     * @param  BigDecimal  $left  with us
     */
    private function __construct(
        public int $itemId,
        public string $number,
        public string $name,
        public string $unit,
        public BigDecimal $came,
        public BigDecimal $used,
        public BigDecimal $scrapped,
        public BigDecimal $replaced,
        public BigDecimal $returned,
        public BigDecimal $left,
    ) {
    }

    /** @return Collection<int, self> by item */
    public static function of(int $customer): Collection
    {
        $material = DB::table('items AS i')
            ->joinSub(self::moved($customer), 'm', 'm.item_id', 'i.id')
            ->leftJoinSub(self::replaced($customer), 'r', 'r.item_id', 'i.id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->orderBy('i.number')
            ->select(['i.id', 'i.number', 'i.name', 'u.code AS unit', 'm.came', 'm.used', 'm.scrapped', 'm.returned'])
            ->addSelect('m.lying')
            ->selectRaw('COALESCE(r.quantity, 0) AS replaced');

        return Row::all($material, self::from(...));
    }

    private static function moved(int $customer): Builder
    {
        $moved = DB::table('moves AS m')
            ->join('places AS f', 'f.id', 'm.from_place_id')
            ->join('places AS t', 't.id', 'm.to_place_id')
            ->where('m.owner_id', $customer)
            ->groupBy('m.item_id')
            ->select('m.item_id');
        foreach (self::sums() as $name => $sum) {
            $moved->selectRaw("SUM({$sum}) AS {$name}");
        }

        return $moved;
    }

    /** Ours that was used where theirs was to be. */
    private static function replaced(int $customer): Builder
    {
        return DB::table('order_components AS c')
            ->join('order_components AS theirs', fn (JoinClause $join) => $join
                ->on('theirs.order_id', 'c.order_id')
                ->where('theirs.supplied_by', 'customer')
                ->whereRaw('(c.stands_for_id = theirs.id OR c.item_id = theirs.item_id)'))
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->where('c.supplied_by', 'us')
            ->where('o.owner_id', $customer)
            ->groupBy('theirs.item_id')
            ->select('theirs.item_id')
            ->selectRaw('SUM(c.used_quantity) AS quantity');
    }

    /** @return array<string, string> SQL of a move `m` from place `f` to place `t`, by column */
    private static function sums(): array
    {
        $net = fn (string $of): string => "IF(t.kind = '{$of}', m.quantity, 0) - IF(f.kind = '{$of}', m.quantity, 0)";
        $from = "f.kind = 'outside' AND m.reverses_id IS NULL";
        $back = "t.kind = 'outside' AND m.reverses_id IS NOT NULL";

        return [
            // what a reversal took out never came
            'came' => "IF({$from}, m.quantity, 0) - IF({$back}, m.quantity, 0)",
            'used' => $net('order'),
            'scrapped' => $net('scrap'),
            'returned' => "IF(t.kind = 'outside' AND m.reverses_id IS NULL, m.quantity, 0)",
            'lying' => $net('store'),
        ];
    }

    private static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
            $row->decimal('came'),
            $row->decimal('used'),
            $row->decimal('scrapped'),
            $row->decimal('replaced'),
            $row->decimal('returned'),
            $row->decimal('lying'),
        );
    }
}
