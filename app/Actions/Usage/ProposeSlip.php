<?php

namespace App\Actions\Usage;

use App\Books\Signed;
use App\Models\Item;
use App\Models\Order;
use App\Models\Slip;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\LotRule;

/**
 * Proposes component use for released orders as a draft: for the whole of them, for what is reported so far, or for one
 * step.
 */
final class ProposeSlip
{
    /**
     * @param  list<int>  $orders
     * @param  string  $part  whole, reported, step
     *
     * @throws Refused when there is nothing to propose
     */
    public function handle(array $orders, string $part, ?int $step, Signed $signed): Slip
    {
        if ($done = Slip::query()->firstWhere('token', $signed->token)) {
            return $done;
        }
        try {
            return DB::transaction(function () use ($orders, $part, $step, $signed): Slip {
                $going = self::going($orders);
                $slip = Slip::query()->create([
                    'token' => $signed->token,
                    'part' => $part,
                    'step_number' => $part === 'step' ? $step : null,
                    'person_id' => $signed->person->id,
                    'changed_by' => $signed->person->id,
                ]);
                $lines = $this->lines($slip, $going, $part, $step);
                if ($lines === 0) {
                    throw Refused::because(
                        'Nothing is left to use for these: all that is planned is booked.',
                        'orders',
                    );
                }

                return $slip->refresh();
            }, attempts: 5);
        } catch (UniqueConstraintViolationException $again) {
            return Slip::query()->firstWhere('token', $signed->token) ?? throw $again;
        }
    }

    /**
     * Those of the orders that components may go to.
     *
     * @param  list<int>  $orders
     * @return non-empty-list<int>
     *
     * @throws Refused when there is none
     */
    private static function going(array $orders): array
    {
        $going = Order::query()
            ->whereKey($orders)
            ->whereIn('state', OrderState::IN_THE_SHOP)
            ->where('is_held', false)
            ->orderBy('id')
            ->pluck('id')
            ->all();

        return $going === []
            ? throw Refused::because(
                'None of these orders is released and going. Release them, or let them go on, first.',
                'orders',
            )
            : array_values($going);
    }

    /** @param  list<int>  $orders */
    private function lines(Slip $slip, array $orders, string $part, ?int $step): int
    {
        $planned = PlannedUse::of($orders, $part === 'step' ? $step : null);
        $items = Item::query()
            ->with('unit')
            ->whereKey($planned->pluck('itemId')->unique())
            ->get()
            ->keyBy('id');
        $served = $part === 'reported' ? $this->served($orders) : null;
        $suggest = new Suggestions(
            array_values($items->keys()->all()),
            now(config()->string('pace.zone'))->toDateString(),
        );
        $lines = [];
        $splits = [];
        foreach ($planned as $use) {
            if ($use->isBackflushed() && $served === null) {
                continue;
            }
            $item = $items[$use->itemId];
            $propose = self::proposed($use, $item, $served);
            if (! $propose->isPositive()) {
                continue;
            }
            $parts = $use->hasNoSource() ? [] : $suggest->take($item, $use->orderId, $use->owner(), $propose);
            $there = BigDecimal::sum(0, ...array_column($parts, 'typed'));
            $asks = $item->isTracked() && $item->lot_rule === LotRule::Ask->value;
            $lines[] = [
                'slip_id' => $slip->id,
                'position' => (count($lines) + 1) * 10,
                ...self::columns($use, $propose, $asks ? $propose : $there),
            ];
            $splits[] = $parts;
        }
        self::insert($slip, $lines, $splits);

        return count($lines);
    }

    /** @return array<string, int|string> */
    private static function columns(PlannedUse $use, BigDecimal $proposed, BigDecimal $typed): array
    {
        return [
            'order_id' => $use->orderId,
            'component_id' => $use->id,
            'item_id' => $use->itemId,
            'step_number' => $use->stepNumber,
            'proposed' => (string) $proposed,
            'typed' => Amount::plain((string) $typed),
        ];
    }

    /** @param  array<string, BigDecimal>|null  $served  pieces counted, by order and step; null = all are wanted */
    private static function proposed(PlannedUse $use, Item $item, ?array $served): BigDecimal
    {
        $pieces = $served === null
            ? $use->pieces
            : $served["{$use->orderId}-{$use->stepNumber}"] ?? BigDecimal::zero();

        return UsageProposal::of(
            $use->planned,
            $use->used,
            $use->shareOf($pieces),
            $use->isPerOrder,
            $item->unit->decimals,
            BigDecimal::of($item->minimum_issue),
            $use->exactFor($pieces),
        );
    }

    /**
     * @param  list<array<string, int|string>>  $lines
     * @param  list<list<array{code: string, place_id: int, typed: string}>>  $splits
     */
    private static function insert(Slip $slip, array $lines, array $splits): void
    {
        foreach (array_chunk($lines, 500) as $chunk) {
            DB::table('slip_lines')->insert($chunk);
        }
        $ids = DB::table('slip_lines')->where('slip_id', $slip->id)->orderBy('position')->pluck('id')->all();
        $rows = [];
        foreach ($splits as $i => $parts) {
            foreach ($parts as $part) {
                $rows[] = ['slip_line_id' => $ids[$i], ...$part];
            }
        }
        foreach (array_chunk($rows, 500) as $chunk) {
            DB::table('slip_splits')->insert($chunk);
        }
    }

    /**
     * Pieces counted at or after each step: what passed a later one has passed it.
     *
     * @param  list<int>  $orders
     * @return array<string, BigDecimal> by order and step number of its components
     */
    private function served(array $orders): array
    {
        $served = [];
        foreach (
            DB::table('order_components AS c')
                ->join(
                    'order_steps AS s',
                    fn (JoinClause $join) => $join
                        ->on('s.order_id', 'c.order_id')
                        ->on('s.number', '>=', 'c.step_number'),
                )
                ->whereIn('c.order_id', $orders)
                ->groupBy('c.order_id', 'c.step_number')
                ->selectRaw('c.order_id, c.step_number, MAX(s.good + s.scrap) AS pieces')
                ->get() as $row
        ) {
            $served["{$row->order_id}-{$row->step_number}"] = BigDecimal::of($row->pieces);
        }

        return $served;
    }
}
