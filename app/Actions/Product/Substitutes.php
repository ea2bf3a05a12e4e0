<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Models\Item;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** Writes which items may stand in for an item, by page or by file; what differs goes into the trail of the item. */
final readonly class Substitutes
{
    public function __construct(private ProductChanges $changes)
    {
    }

    /**
     * All of an item, the first first: what is not among them goes.
     *
     * @param  list<TypedSubstitute>  $substitutes
     * @return bool whether anything differs
     */
    public function replace(Item $item, array $substitutes): bool
    {
        $was = $this->of($item->id);
        $is = array_column($substitutes, null, 'itemId');
        $says = fn (array $all): array => array_map(fn (TypedSubstitute $one): string => $one->says(), $all);
        if ($says($was) === $says($is)) {
            return false;
        }
        $names = Item::query()->whereKey([...array_keys($was), ...array_keys($is)])->pluck('number', 'id')->all();
        foreach ($was + $is as $id => $any) {
            $before = isset($was[$id]) ? $was[$id]->says() : '';
            $after = isset($is[$id]) ? $is[$id]->says() : '';
            $field = "substitute {$names[$id]}";
            $before === $after ?: $this->changes->field('items', $item->id, $item->number, $field, $before, $after);
        }
        if (array_keys($was) !== array_keys($is)) {
            $order = fn (array $all): string => implode(', ', array_map(fn (int $id) => $names[$id], array_keys($all)));
            $this->changes->field('items', $item->id, $item->number, 'substitutes', $order($was), $order($is));
        }
        $this->write($item->id, array_values($is));

        return true;
    }

    /** @return bool whether it is new or another */
    public function add(Item $item, TypedSubstitute $typed): bool
    {
        return $this->replace($item, array_values(array_replace($this->of($item->id), [$typed->itemId => $typed])));
    }

    /** @param  list<TypedSubstitute>  $substitutes */
    private function write(int $item, array $substitutes): void
    {
        DB::table('item_substitutes')->where('item_id', $item)->delete();
        foreach ($substitutes as $place => $one) {
            DB::table('item_substitutes')->insert([
                'item_id' => $item,
                'substitute_id' => $one->itemId,
                'position' => $place + 1,
                'p' => $one->p,
                'q' => $one->q,
                'until_on' => $one->until,
            ]);
        }
    }

    /** @return array<int, TypedSubstitute> by item that stands in, the first first */
    private function of(int $item): array
    {
        $rows = DB::table('item_substitutes')->where('item_id', $item)->orderBy('position');
        $all = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $all[$row->int('substitute_id')] = new TypedSubstitute(
                $row->int('substitute_id'),
                $row->int('p'),
                $row->int('q'),
                $row->textOrNull('until_on'),
            );
        }

        return $all;
    }
}
