<?php

namespace App\Queries\Product;

use App\Reading\Cut;
use App\Reading\Like;
use App\Shop\LowItem;
use App\Shop\Positions;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** All items, narrowed down. */
final class ItemList
{
    private const SHOWN = 300;

    /** @return Cut<ListedItem> */
    public static function of(ItemFilter $filter): Cut
    {
        return Cut::read(
            self::narrowed($filter)
                ->leftJoin('suppliers AS v', 'v.id', 'i.supplier_id')
                ->join('units AS u', 'u.id', 'i.unit_id')
                ->orderBy('i.number')
                ->select(['i.id', 'i.number', 'i.name', 'i.kind', 'i.category', 'i.cost', 'i.price'])
                ->addSelect(['i.lead_time_days', 'i.is_running_out', 'i.retired_at'])
                ->addSelect(['u.code AS unit', 'v.name AS supplier'])
                ->selectRaw('COALESCE((SELECT SUM(b.quantity) FROM balances b WHERE b.item_id = i.id), 0) AS on_hand')
                ->selectRaw(self::counted('structures', 'draft').' + '.self::counted('routings', 'draft').' AS drafts')
                ->selectRaw(self::counted('structures', 'approved').' > 0 AS has_structure')
                ->selectRaw(self::counted('routings', 'approved').' > 0 AS has_routing'),
            self::SHOWN,
            ListedItem::from(...),
        );
    }

    /** @return array<string, string> those there are, for a choice */
    public static function categories(): array
    {
        $all = DB::table('items')->where('category', '<>', '')->distinct()->orderBy('category')->pluck('category');
        $words = array_map(fn (mixed $one): string => is_string($one) ? $one : '', $all->all());

        return ['' => 'any', ...array_combine($words, $words)];
    }

    public static function narrowed(ItemFilter $filter): Builder
    {
        return DB::table('items AS i')
            ->when($filter->kind !== '', fn (Builder $query) => $query->where('i.kind', $filter->kind))
            ->when($filter->category !== '', fn (Builder $query) => $query->where('i.category', $filter->category))
            ->when(
                $filter->only === 'retired',
                fn (Builder $query) => $query->whereNotNull('i.retired_at'),
                fn (Builder $query) => $query->whereNull('i.retired_at'),
            )
            ->where(fn (Builder $query) => self::words($query, $filter->text))
            ->where(fn (Builder $query) => self::only($query, $filter->only));
    }

    /** Each word stands in the number, the name, the category or what is written of it. */
    private static function words(Builder $query, string $text): void
    {
        foreach (preg_split('/\s+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $query->where(fn (Builder $any) => $any
                ->where('i.number_key', 'like', Like::insideKey($word))
                ->orWhere('i.name', 'like', Like::inside($word))
                ->orWhere('i.category', 'like', Like::inside($word))
                ->orWhere('i.description', 'like', Like::inside($word)));
        }
    }

    private static function only(Builder $query, string $only): void
    {
        match ($only) {
            'draft' => $query
                ->whereRaw(self::counted('structures', 'draft').' > 0')
                ->orWhereRaw(self::counted('routings', 'draft').' > 0'),
            'short' => $query->whereIn(
                'i.id',
                Positions::low()->rows->map(fn (LowItem $item): int => $item->id),
            ),
            'unused' => $query
                ->whereRaw('NOT EXISTS (SELECT 1 FROM moves m WHERE m.item_id = i.id)')
                ->whereRaw('NOT EXISTS (SELECT 1 FROM structure_lines l WHERE l.item_id = i.id)')
                ->whereRaw('NOT EXISTS (SELECT 1 FROM orders o WHERE o.item_id = i.id)')
                ->whereRaw('NOT EXISTS (SELECT 1 FROM customer_order_lines c WHERE c.item_id = i.id)'),
            'running-out' => $query->where('i.is_running_out', true),
            default => $query,
        };
    }

    private static function counted(string $table, string $status): string
    {
        return "(SELECT COUNT(*) FROM {$table} r WHERE r.item_id = i.id AND r.status = '{$status}')";
    }
}
