<?php

namespace App\Actions\Usage;

use App\Actions\Bookings\Signed;
use App\Models\Item;
use App\Models\Order;
use App\Models\Slip;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\ItemKind;

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
                $found = Order::query()
                    ->whereKey($orders)
                    ->whereIn('state', OrderState::IN_THE_SHOP)
                    ->where('is_held', false)
                    ->get()
                    ->keyBy('id');
                if ($found->isEmpty()) {
                    throw Refused::because(
                        'None of these orders is released and going. Release them, or let them go on, first.',
                        'orders',
                    );
                }
                $slip = Slip::query()->create([
                    'token' => $signed->token,
                    'part' => $part,
                    'step_number' => $part === 'step' ? $step : null,
                    'user_id' => $signed->person->id,
                    'changed_by' => $signed->person->id,
                ]);
                $lines = $this->lines($slip, array_values($found->keys()->all()), $part, $step);
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

    /** @param  list<int>  $orders */
    private function lines(Slip $slip, array $orders, string $part, ?int $step): int
    {
        $rows = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->leftJoin('structure_lines AS s', 's.id', 'c.structure_line_id')
            ->whereIn('c.order_id', $orders)
            ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED)
            ->when($part === 'step', fn ($query) => $query->where('c.step_number', $step))
            ->where('c.planned_quantity', '>', 0)
            ->orderBy('o.rank')
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->orderBy('c.position')
            ->orderBy('c.id')
            ->get([
                'c.id',
                'c.order_id',
                'c.item_id',
                'c.step_number',
                'c.planned_quantity',
                'c.used_quantity',
                'c.replaced_quantity',
                'c.supplied_by',
                'c.issue_by',
                'o.quantity',
                'o.owner_id',
                's.basis',
            ]);
        $items = Item::query()
            ->with('unit')
            ->whereKey($rows->pluck('item_id')->unique())
            ->get()
            ->keyBy('id');
        $served = $part === 'reported' ? $this->served($orders) : [];
        $suggest = new Suggestions(
            array_values($items->keys()->all()),
            now(config()->string('pace.zone'))->toDateString(),
        );
        $lines = [];
        $splits = [];
        foreach ($rows as $row) {
            $item = $items[$row->item_id];
            if ($row->issue_by === IssueBy::Backflush->value && $part !== 'reported') {
                continue; // used by itself when its step is counted
            }
            $share = $part === 'reported'
                    ? BigRational::of($served["{$row->order_id}-{$row->step_number}"] ?? '0')->dividedBy($row->quantity)
                    : BigRational::one();
            $propose = UsageProposal::of(
                BigDecimal::of($row->planned_quantity),
                BigDecimal::of($row->used_quantity)->plus($row->replaced_quantity),
                $share,
                $row->basis === 'order',
                $item->unit->decimals,
                BigDecimal::of($item->minimum_issue),
            );
            if (! $propose->isPositive()) {
                continue;
            }
            $parts = $row->supplied_by === 'customer' && $row->owner_id === null
                    ? []
                    : $suggest->take(
                        $item,
                        $row->order_id,
                        $row->supplied_by === 'customer' ? $row->owner_id : 0,
                        $propose,
                    );
            $there = array_reduce(
                $parts,
                fn (BigDecimal $sum, array $one): BigDecimal => $sum->plus($one['typed']),
                BigDecimal::zero(),
            );
            $asks = $item->isTracked() && $item->lot_rule === 'ask';
            $lines[] = [
                'slip_id' => $slip->id,
                'position' => (count($lines) + 1) * 10,
                'order_id' => $row->order_id,
                'component_id' => $row->id,
                'item_id' => $row->item_id,
                'step_number' => $row->step_number,
                'proposed' => (string) $propose,
                'typed' => Amount::plain((string) ($asks ? $propose : $there)),
            ];
            $splits[] = $parts;
        }
        self::insert($slip, $lines, $splits);

        return count($lines);
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
                    fn ($join) => $join->on('s.order_id', 'c.order_id')->on('s.number', '>=', 'c.step_number'),
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
