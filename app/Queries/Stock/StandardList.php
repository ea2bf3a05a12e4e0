<?php

namespace App\Queries\Stock;

use App\Models\BookingKind;
use App\Queries\Product\ItemFilter;
use App\Reading\Row;
use App\Shop\NewStandards;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;

/** Items with a standard cost: what each costs, what it would cost if worked out today, and what that does. */
final readonly class StandardList
{
    /** So many that differ are shown. */
    private const SHOWN = 500;

    private const TAKEN = 6;

    /**
     * @param  list<StandardRow>  $differing
     * @param  int  $right  that cost already what they would
     * @param  array<string, list<string>>  $none  items of which none can be worked out, by why
     * @param  Collection<int, TakenStandards>  $taken  newest first
     * @param  list<ComingStandards>  $coming  decided for a day ahead
     */
    private function __construct(
        public array $differing,
        public int $more,
        public int $right,
        public array $none,
        public Collection $taken,
        public array $coming,
    ) {
    }

    public static function of(ItemFilter $filter): self
    {
        $narrow = fn (Builder $items): Builder => $filter->category === ''
            ? $items
            : $items->where('i.category', $filter->category);
        $standards = new NewStandards($narrow);
        $names = self::names();
        $differing = $none = [];
        $right = 0;
        foreach ($standards->all() as $id => $standard) {
            if ($standard->differs()) {
                $differing[] = new StandardRow($names[$id], $standard);
            } else {
                $right++;
            }
        }
        foreach ($standards->why() as $id => $why) {
            $none[$why][] = $names[$id]->number;
        }

        return new self(
            array_slice($differing, 0, self::SHOWN),
            max(0, count($differing) - self::SHOWN),
            $right,
            $none,
            self::taken(),
            ComingStandards::all(),
        );
    }

    /** "; 12 cost what they would" */
    public function rightSays(): string
    {
        return match ($this->right) {
            0 => '',
            1 => '; 1 costs what it would',
            default => "; {$this->right} cost what they would",
        };
    }

    /** Cents all that is shown would be worth more. */
    public function total(): int
    {
        return array_sum(array_map(fn (StandardRow $row): int => $row->standard->more(), $this->differing));
    }

    /** @return array<string, string> */
    public static function categories(): array
    {
        $all = DB::table('items')
            ->where('costing', CostingRule::Standard->value)
            ->where('category', '<>', '')
            ->distinct()
            ->orderBy('category')
            ->pluck('category');
        $words = array_values(array_filter($all->all(), is_string(...)));

        return ['' => 'any', ...array_combine($words, $words)];
    }

    /** @return array<int, NamedItem> by id */
    private static function names(): array
    {
        $items = DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('i.costing', CostingRule::Standard->value)
            ->select(['i.id', 'i.number', 'i.name', 'u.code AS unit']);
        $names = [];
        foreach (Row::all($items, NamedItem::from(...)) as $item) {
            $names[$item->id] = $item;
        }

        return $names;
    }

    /** @return Collection<int, TakenStandards> */
    private static function taken(): Collection
    {
        $counted = DB::table('product_changes AS c')
            ->whereColumn('c.booking_id', 'b.id')
            ->where('c.field', 'cost')
            ->selectRaw('COUNT(*)');
        $changed = DB::table('product_changes AS c')
            ->join('items AS i', 'i.id', 'c.record_id')
            ->whereColumn('c.booking_id', 'b.id')
            ->where('c.field', 'cost')
            ->whereRaw('i.cost <> CAST(c.after AS DECIMAL(18, 6))')
            ->selectRaw('COUNT(*)');

        return Row::all(
            DB::table('bookings AS b')
                ->join('booking_says AS s', 's.booking_id', 'b.id')
                ->join('people AS p', 'p.id', 'b.person_id')
                ->where('b.kind', BookingKind::Revalued->value)
                ->whereExists((clone $counted)->select('c.id'))
                ->orderByDesc('b.id')
                ->limit(self::TAKEN)
                ->select(['b.id', 'b.booked_on', 's.says', 'p.name AS person'])
                ->selectSub($counted, 'items')
                ->selectSub($changed, 'changed_since'),
            TakenStandards::from(...),
        );
    }
}
