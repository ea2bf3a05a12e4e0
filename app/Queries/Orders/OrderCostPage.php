<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;

/** What an order was to cost and what it has cost; what went out of it again, and what is in it still. In cents. */
final readonly class OrderCostPage
{
    private const KINDS = [
        'material' => 'material',
        'labour' => 'labour',
        'machine' => 'machine',
        'overhead' => 'overhead',
        'outside' => 'outside work',
        'bought' => 'bought for it',
    ];

    /** @param  list<CostLine>  $lines */
    private function __construct(
        public array $lines,
        public CostLine $putIn,
        public int $received,
        public int $scrapped,
        public int $variance,
        public bool $isPlanned,
    ) {
    }

    /** @param  array<string, int>|null  $planned  by kind; null = it is not planned before the release */
    public static function of(int $order, ?array $planned): self
    {
        $booked = DB::table('cost_entries')
            ->where('order_id', $order)
            ->groupBy('kind')
            ->selectRaw('kind, SUM(cents) AS cents');
        $actual = Row::all($booked, fn (Row $row): Row => $row)
            ->mapWithKeys(fn (Row $row): array => [$row->text('kind') => $row->int('cents')]);
        $lines = [];
        foreach (self::KINDS as $kind => $says) {
            $line = new CostLine($says, $planned[$kind] ?? 0, $actual[$kind] ?? 0);
            // nobody plans to buy for one order alone: it is told where it happened
            $kind === CostKind::Bought->value && $line->actual === 0 ?: $lines[] = $line;
        }
        $putIn = new CostLine(
            'put in',
            array_sum(array_column($lines, 'planned')),
            array_sum(array_column($lines, 'actual')),
        );

        $scrapped = self::scrapped($order);

        return new self(
            $lines,
            $putIn,
            -($actual['receipt'] ?? 0) - $scrapped,
            $scrapped,
            -($actual['variance'] ?? 0),
            $planned !== null,
        );
    }

    public function stillIn(): int
    {
        return $this->putIn->actual - $this->received - $this->scrapped - $this->variance;
    }

    /** What came out of it and was scrap took its share along, and is in no stock (trade.md W17). */
    private static function scrapped(int $order): int
    {
        $moves = DB::table('moves')
            ->where('order_id', $order)
            ->whereNotNull('output_id')
            ->where('scrap_class', '<>', '')
            ->selectRaw('COALESCE(SUM(IF(reverses_id IS NULL, value, -value)), 0) AS cents');

        return Row::first($moves, fn (Row $row): Row => $row)?->int('cents') ?? 0;
    }
}
