<?php

namespace App\Actions\Import;

use App\Actions\Orders\OrderCopy;
use App\Actions\Orders\PlannedCost;
use App\Books\Ledger;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Person;
use App\Models\Supplier;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\Pieces;
use KeepPace\Core\Stock\End;

/** Writes what was being made when the shop went live, half done as it was. */
final class OpeningOrders
{
    /** Hour of the day at which something went, where a file says only the day. */
    private const SENT_AT = '12:00';

    private const NONE_YET = ['taken_in' => '0', 'good' => '0', 'scrap' => '0', 'passed_on' => '0'];

    private readonly Deliveries $deliveries;

    /** @var array<string, list<array<string, ?string>>> lines of order-steps.csv by key of the order */
    private array $steps = [];

    public function __construct(
        private readonly OrderCopy $copy,
        private readonly PlannedCost $cost,
        private readonly OpeningItems $items,
        private readonly Folder $folder,
        private readonly Ledger $ledger,
    ) {
        $this->deliveries = Deliveries::now();
    }

    public function write(ImportResult $result, Person $by): void
    {
        foreach ($this->folder->rowsOf('order-steps') as $row) {
            $this->steps[Code::keyOf((string) $row['order'])][] = $row;
        }
        foreach ($this->folder->rowsOf('orders') as $line => $row) {
            $order = $this->made($row, $line);
            if ($order === null) {
                continue;
            }
            $row['customer_order'] === '' ?: $this->tie($order, $row);
            if ($row['state'] === OrderState::Released->value) {
                $this->halfDone($order, $row, $line, $by);
            }
            $result->add('orders', 'new');
        }
    }

    /** @param  array<string, ?string>  $row */
    private function made(array $row, int $line): ?Order
    {
        $item = $this->items->of($row['item']);
        try {
            return $this->copy->make(
                $this->ledger,
                $item,
                $item->quantity((string) $row['quantity'])->amount,
                $row['due_on'] ?: null,
                number: $row['number'],
            );
        } catch (Refused $refused) {
            $this->folder->problem('orders', $line, 'quantity', $refused->getMessage());

            return null;
        }
    }

    /** @param  array<string, ?string>  $row */
    private function tie(Order $order, array $row): void
    {
        $tied = CustomerOrderLine::query()
            ->where('position', (int) $row['line'])
            ->whereRelation('customerOrder', 'number_key', Code::keyOf((string) $row['customer_order']))
            ->firstOrFail();
        $open = $tied->uncovered();
        $this->ledger->covers->add($tied, $order, BigDecimal::min($open, $order->quantity));
    }

    /** @param  array<string, ?string>  $row */
    private function halfDone(Order $order, array $row, int $line, Person $by): void
    {
        $order->released_at = now()->toImmutable();
        $order->released_by = $by->id;
        $this->cost->freeze($order);
        $this->counts($order, $row, $line);
        $this->used($order, $row, $line);
        foreach ([CostKind::Labour, CostKind::Machine, CostKind::Overhead, CostKind::Outside] as $kind) {
            $cents = BigDecimal::of((string) $row[$kind->value])->multipliedBy(100)->toInt();
            $this->ledger->costs->add($order, $kind, $cents);
        }
        $order->save();
        $this->ledger->touch($order);
    }

    /**
     * What was counted at each step: what one passed on reached the next.
     *
     * @param  array<string, ?string>  $row
     */
    private function counts(Order $order, array $row, int $line): void
    {
        $counts = array_column($this->steps[Code::keyOf((string) $row['number'])] ?? [], null, 'step');
        $passed = BigDecimal::of($order->quantity);
        foreach ($order->steps()->get() as $i => $step) {
            $none = [...self::NONE_YET, 'taken_in' => $i === 0 ? $order->quantity : '0'];
            $count = $counts[(string) $step->number] ?? $none;
            $pieces = new Pieces(...array_map(
                fn (string $field): BigDecimal => BigDecimal::of((string) $count[$field]),
                array_keys(self::NONE_YET),
            ));
            if (! $pieces->takenIn->isEqualTo($passed)) {
                $this->wrong(
                    $line,
                    'taken_in',
                    "order {$row['number']} step {$step->number} took in {$pieces->takenIn}, but {$passed} reached it.",
                );
            }
            $passed = $pieces->passedOn;
            $this->ledger->counts->set($step, $pieces);
            ! $step->isOutside() ?: $this->away($step, $counts[(string) $step->number] ?? []);
        }
        $passed->isZero() ?: $this->wrong(
            $line,
            'passed_on',
            "order {$row['number']}: what its last step passed on is stock; put it in opening-stock.csv and lower the "
                .'order.',
        );
    }

    /**
     * Pieces that are with the supplier of a step: all that are to do there, unless the file says how many.
     *
     * @param  array<string, ?string>  $row  of the step; empty = there is none
     */
    private function away(OrderStep $step, array $row): void
    {
        $toDo = $step->pieces()->toDo();
        $typed = (string) ($row['at_supplier'] ?? '');
        $there = match (true) {
            $typed !== '' => BigDecimal::min($toDo, $typed),
            $row === [] => BigDecimal::zero(),
            default => $toDo,
        };
        if ($there->isZero()) {
            return;
        }
        $to = Supplier::query()->findOrFail($step->supplier_id);
        $now = CarbonImmutable::now()->startOfSecond();
        $sent = (string) ($row['sent_on'] ?? '');
        $at = $sent === '' ? $now : CarbonImmutable::parse($this->deliveries->at($sent, self::SENT_AT));
        $back = (string) ($row['back_on'] ?? '');
        $this->ledger->consigned->send($step, $to, $there, $at, $back === ''
            ? $this->deliveries->backFrom($at, $to->id, $step->daysAway())
            : $this->deliveries->at($back, self::SENT_AT));
    }

    private function wrong(int $line, string $column, string $says): void
    {
        $this->folder->problem('order-steps', $line, $column, $says);
    }

    /**
     * Components used so far; the material cost so far is shared over them.
     *
     * @param  array<string, ?string>  $row
     */
    private function used(Order $order, array $row, int $line): void
    {
        $material = BigDecimal::of((string) $row['material'])->multipliedBy(100)->toInt();
        $components = $weights = $quantities = [];
        foreach ($this->usedBy($row) as $at => $used) {
            $component = $this->component($order, $used);
            if ($component === null) {
                $says = "order {$row['number']} does not take {$used['component']}.";
                $this->folder->problem('order-components', $at, 'component', $says);

                continue;
            }
            $components[$at] = $component;
            $quantities[$at] = (string) $used['used'];
            $weights[$at] = max(1, PlannedCost::of($component->item, BigDecimal::of($quantities[$at])));
        }
        if ($weights === [] && $material !== 0) {
            $says = "order {$row['number']} carries material cost but order-components.csv names nothing used.";
            $this->folder->problem('orders', $line, 'material', $says);
        }
        foreach ($weights === [] ? [] : Cents::split($material, $weights) as $at => $value) {
            $this->use($order, $components[$at]->refresh(), $quantities[$at], $value);
        }
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<int, array<string, ?string>> lines of order-components.csv
     */
    private function usedBy(array $row): array
    {
        return array_filter(
            $this->folder->rowsOf('order-components'),
            fn (array $used): bool => Code::keyOf((string) $used['order']) === Code::keyOf((string) $row['number'])
                && $used['used'] !== '0',
        );
    }

    /** @param  array<string, ?string>  $used */
    private function component(Order $order, array $used): ?OrderComponent
    {
        return $order
            ->components()
            ->with('item.unit')
            ->where('item_id', $this->items->of($used['component'])->id)
            ->first();
    }

    private function use(Order $order, OrderComponent $component, string $used, int $value): void
    {
        $quantity = $component->item->quantity($used)->amount;
        $end = End::component($order->id, $component->id);
        $this->ledger->moves->move($component->item, $quantity, $value, End::outside(), $end);
        $this->ledger->costs->add($order, CostKind::Material, $value);
        $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->plus($quantity);
        $component->used_value += $value;
        $component->save();
    }
}
