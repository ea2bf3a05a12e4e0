<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is on its way for a component, and what an order waits for, names its document: kind, id and number. */
return new class extends Migration
{
    /** @var array<string, array<string, int>> ids by kind and number */
    private array $ids = [];

    public function up(): void
    {
        $this->ids = [
            'order' => DB::table('orders')->pluck('id', 'number')->all(),
            'purchase' => DB::table('purchases')->pluck('id', 'number')->all(),
        ];
        $this->rewrite('plan_components', 'component_id', 'coming');
        $this->rewrite('plan_orders', 'order_id', 'blocks');
        // packed by an older program: read anew where it is asked for
        DB::table('plan_inputs')->delete();
    }

    private function rewrite(string $table, string $key, string $column): void
    {
        $rows = DB::table($table)->where($column, '<>', '[]')->get(['plan_id', $key, $column]);
        foreach ($rows as $row) {
            $named = array_map(
                fn (array $one): array => [
                    ...['at' => null, 'rests' => null, 'given' => null, 'on' => null],
                    ...$one,
                    'supply' => $this->document($one['supply']),
                ],
                json_decode($row->{$column}, true),
            );
            DB::table($table)
                ->where('plan_id', $row->plan_id)
                ->where($key, $row->{$key})
                ->update([$column => json_encode($named)]);
        }
    }

    /** @return array{kind: string, id: int, number: string}|null */
    private function document(?string $name): ?array
    {
        [$kind, $number] = $name === null ? ['', ''] : explode(' ', $name, 2);

        return $name === null ? null : ['kind' => $kind, 'id' => $this->ids[$kind][$number] ?? 0, 'number' => $number];
    }
};
