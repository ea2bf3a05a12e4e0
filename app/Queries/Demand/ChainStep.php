<?php

namespace App\Queries\Demand;

use App\Queries\Outside\WorkOrdered;
use App\Reading\Row;
use App\Shop\Handful;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\NextOutside;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Routing\WorkOrdered as Orders;

/** A step of an order in the chain of a customer line. */
final readonly class ChainStep
{
    /**
     * @param  BigDecimal  $all  pieces that will reach it
     * @param  CarbonImmutable|null  $endAt  by the plan
     * @param  list<WorkOrdered>  $work  on what it is ordered
     * @param  list<Handful>  $handfuls  with its supplier
     */
    private function __construct(
        public int $id,
        public int $orderId,
        private int $number,
        private string $name,
        private ?string $supplier,
        private ?string $workCentre,
        private BigDecimal $all,
        private BigDecimal $good,
        public BigDecimal $toDo,
        private ?CarbonImmutable $endAt,
        private Orders $when,
        private array $work,
        private array $handfuls,
    ) {
    }

    /**
     * @param  array<int, list<WorkOrdered>>  $work  by step
     * @param  array<int, list<Handful>>  $away  by step
     */
    public static function from(Row $row, array $work, array $away): self
    {
        $id = $row->int('id');

        return new self(
            $id,
            $row->int('order_id'),
            $row->int('number'),
            $row->text('name'),
            $row->textOrNull('supplier'),
            $row->textOrNull('work_centre'),
            $row->decimal('quantity')->minus($row->decimal('lost')),
            $row->decimal('good'),
            $row->decimal('to_do'),
            $row->momentOrNull('end_at'),
            $row->enum('work_ordered', Orders::class),
            $work[$id] ?? [],
            $away[$id] ?? [],
        );
    }

    public function isOutside(): bool
    {
        return $this->supplier !== null;
    }

    public function isDone(): bool
    {
        return $this->good->isGreaterThanOrEqualTo($this->all);
    }

    public function label(): string
    {
        return "{$this->number} {$this->name}";
    }

    /** By a supplier. */
    public function asRow(): ChainRow
    {
        $next = $this->next();

        return new ChainRow(
            $this->label(),
            (string) $this->supplier,
            true,
            $this->through(),
            $this->where(),
            $this->day(),
            $this->isLate(),
            $next === NextOutside::Done,
            $this->nextSays($next),
            $this->address($next),
        );
    }

    /**
     * Steps here, one behind the other, as one link.
     *
     * @param  non-empty-list<self>  $steps
     */
    public static function here(array $steps): ChainRow
    {
        $last = $steps[count($steps) - 1];
        $at = array_filter($steps, fn (self $step): bool => $step->toDo->isPositive());
        $where = array_map(
            fn (self $step): string => Figures::amount((string) $step->toDo)." at {$step->label()}",
            $at,
        );

        return new ChainRow(
            count($steps) === 1 ? $last->label() : "{$steps[0]->number} to {$last->label()}",
            count($steps) === 1 ? (string) $last->workCentre : 'here',
            false,
            $last->through(),
            implode(', ', $where),
            $last->isDone() || $last->endAt === null ? '' : When::say($last->endAt),
            isDone: $last->isDone(),
        );
    }

    private function through(): string
    {
        return Figures::amount((string) $this->good).' of '.Figures::amount((string) $this->all);
    }

    private function there(): BigDecimal
    {
        return BigDecimal::sum(0, ...array_map(fn (Handful $one): BigDecimal => $one->away, $this->handfuls));
    }

    private function where(): string
    {
        $here = $this->toDo->minus($this->there());

        return implode(', ', array_filter([
            $this->there()->isPositive() ? Figures::amount((string) $this->there()).' there' : '',
            $here->isPositive() ? Figures::amount((string) $here).' here, to go' : '',
            implode(', ', array_map(
                fn (WorkOrdered $work): string => "{$work->number} {$work->says()}",
                $this->isDone() ? [] : $this->work,
            )),
        ]));
    }

    private function day(): string
    {
        return match (true) {
            $this->isDone() => '',
            $this->handfuls !== [] => ArrivalWords::day($this->handfuls[0]->back),
            $this->endAt !== null => When::say($this->endAt),
            default => '',
        };
    }

    private function isLate(): bool
    {
        return array_filter($this->handfuls, fn (Handful $one): bool => $one->back->isLate()) !== [];
    }

    private function next(): NextOutside
    {
        $stages = array_map(fn (WorkOrdered $work): PurchaseState => $work->state, $this->work);
        $order = PurchaseState::cases();
        usort($stages, fn (PurchaseState $a, PurchaseState $b): int => array_search($a, $order, true)
            <=> array_search($b, $order, true));

        return NextOutside::of(
            $this->isDone(),
            $this->toDo->isGreaterThan($this->there()),
            $this->there()->isPositive(),
            $this->isLate(),
            $stages[0] ?? null,
            $this->when,
        );
    }

    private function nextSays(NextOutside $next): string
    {
        return match ($next) {
            NextOutside::Done, NextOutside::Wait => '',
            NextOutside::Chase => 'Ask when it comes',
            NextOutside::Order => 'Order the work',
            NextOutside::OrdersItself => match ($this->when) {
                Orders::AtRelease => 'orders itself at the release',
                Orders::AfterBefore => 'orders itself when the one before is confirmed',
                default => 'orders itself with the first pieces',
            },
            NextOutside::Send => 'Send the order',
            NextOutside::SendOut => 'Send them out',
            NextOutside::HaveBack => 'Have them back',
            NextOutside::Confirm => 'Have it confirmed',
        };
    }

    private function address(NextOutside $next): ?string
    {
        return match ($next) {
            NextOutside::Order => route('orders.show', $this->orderId),
            NextOutside::Send, NextOutside::Confirm => route('purchases.show', $this->work[0]->purchaseId),
            NextOutside::SendOut => route('send-outs.index'),
            NextOutside::HaveBack, NextOutside::Chase => route('at-suppliers.index'),
            default => null,
        };
    }
}
