<?php

namespace App\Queries\Builds;

use App\Models\OrderOutput;
use App\Reading\Cut;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Buildable;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\PartThere;
use KeepPace\Core\Structure\ItemKind;

/** Builds that are asked for: what is put together here and never leaves the house on the way. */
final readonly class BuildList
{
    private const MOST = 100;

    /**
     * @param  Cut<ListedBuild>  $cut
     * @param  array<int, BigDecimal>  $now  how many can be built of what is there, each as if it were the only one
     */
    private function __construct(public Cut $cut, private array $now)
    {
    }

    public static function read(): self
    {
        $cut = Cut::read(self::query(), self::MOST, ListedBuild::from(...));
        $parts = BuildParts::ofOrders(array_values($cut->rows->map(fn (ListedBuild $one): int => $one->id)->all()));
        $now = [];
        foreach ($cut->rows as $build) {
            $now[$build->id] = Buildable::now(
                $build->received,
                $build->left(),
                array_map(fn (BuildPart $part): PartThere => $part->there($build->asked), $parts[$build->id] ?? []),
                $build->decimals,
            );
        }

        return new self($cut, $now);
    }

    public function now(ListedBuild $build): BigDecimal
    {
        return $this->now[$build->id];
    }

    private static function query(): Builder
    {
        return DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('order_outputs AS out', fn (JoinClause $join) => $join
                ->on('out.order_id', 'o.id')
                ->where('out.position', OrderOutput::PRODUCT))
            ->whereIn('o.state', OrderState::OPEN)
            ->where('i.kind', ItemKind::Assembled->value)
            ->whereNotExists(fn (Builder $steps) => $steps
                ->from('order_steps AS s')
                ->whereColumn('s.order_id', 'o.id')
                ->whereNotNull('s.supplier_id'))
            ->orderByRaw('o.due_on IS NULL, o.due_on')
            ->orderBy('o.rank')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.reference', 'o.item_id', 'o.quantity', 'o.due_on', 'o.state', 'o.is_held'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit', 'u.decimals'])
            ->addSelect('out.received_quantity')
            ->selectSub(
                fn (Builder $ties) => Ties::customersOf($ties, 'o.id'),
                'customers',
            );
    }
}
