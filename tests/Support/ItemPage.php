<?php

namespace Tests\Support;

use App\Access\Role;
use Illuminate\Testing\TestResponse;

/** The form that changes an item, filled with what is there and sent with some of it typed anew. */
final class ItemPage
{
    private const FIELDS = ['name', 'unit_id', 'cover_for', 'costing', 'lot_rule', 'category', 'description',
        'supplier_id', 'lead_time_days', 'minimum_days', 'inspection_days',
        'reorder_point', 'safety_stock', 'minimum_issue', 'usual_lot',
        'over_percent', 'is_built_for_line', 'is_parts_if_missing',
        'ordered_by', 'lot_sizing', 'lot_quantity', 'lot_least', 'cost', 'price', 'makers_number', 'number_rule'];

    /** @param  array<string, mixed>  $typed */
    public static function change(object $test, string $number, array $typed): TestResponse
    {
        $item = $test->shop->item($number);
        $test->actingAs($test->shop->as(Role::Planner))->from("/items/{$item->id}/change");

        return $test->put("/items/{$item->id}", [
            'token' => $test->shop->token(),
            'version' => $item->version,
            ...array_map(
                fn (mixed $value): ?string => $value === null ? null : (string) $value,
                $item->only(self::FIELDS),
            ),
            'kind' => $item->kind->value,
            'tracking' => $item->tracking->value,
            'units' => $item->units->map(fn ($one): array => [
                'unit' => $one->unit->code,
                'p' => (string) $one->p,
                'q' => (string) $one->q,
            ])->all(),
            ...$typed,
        ]);
    }
}
