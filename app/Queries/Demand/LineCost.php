<?php

namespace App\Queries\Demand;

use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Tie;
use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Costing\PriceRule;
use KeepPace\Core\Refused;

/**
 * What a customer line costs and what is left of its price: as the structure in force has it, and as the order that is
 * made for it was changed. Reckoned on request; nothing of it is kept.
 */
final readonly class LineCost
{
    /**
     * @param  Order|null  $order  made for it; null = none is
     * @param  BigRational  $master  cents a piece, by the structure and routing in force
     * @param  BigRational|null  $own  cents a piece, as its order is
     */
    private function __construct(
        public CustomerOrderLine $line,
        public ?Order $order,
        private BigRational $master,
        private ?BigRational $own,
    ) {
    }

    public static function of(int $id): ?self
    {
        $line = CustomerOrderLine::query()->with('item.unit', 'customerOrder.customer')->find($id);
        if ($line === null) {
            return null;
        }
        $pieces = BigDecimal::of($line->quantity);
        $rolled = RolledUp::of([$line->item_id])->cost->of($line->item->number, $pieces);
        $tie = Tie::query()
            ->with('output.order')
            ->where('line_id', $line->id)
            ->whereHas('output', fn ($output) => $output->where('position', 1))
            ->where('quantity', '>', 0)
            ->orderBy('id')
            ->first();
        $order = $tie?->output?->order;

        return new self($line, $order, $rolled->unit()->total(), $order === null ? null : self::ofOrder(
            $order,
            $rolled->work->total()->dividedBy($pieces),
        ));
    }

    /** Euros a piece, four decimals. */
    public function master(): BigDecimal
    {
        return self::euros($this->master);
    }

    /** Euros a piece, four decimals; null = nothing is made for it. */
    public function own(): ?BigDecimal
    {
        return $this->own === null ? null : self::euros($this->own);
    }

    /** Whether the order's figure rests on what was frozen at its release. */
    public function isFrozen(): bool
    {
        return $this->order?->released_at !== null;
    }

    /** Per cent of the agreed price that is left, as the structure has it. */
    public function marginBefore(): ?BigDecimal
    {
        return PriceRule::margin(BigDecimal::of($this->line->price), $this->master);
    }

    /** And as the order is. */
    public function marginAfter(): ?BigDecimal
    {
        return $this->own === null ? null : PriceRule::margin(BigDecimal::of($this->line->price), $this->own);
    }

    /**
     * Euros a piece, by a rule that is tried.
     *
     * @param  string  $percent  on the cost, or of the price
     * @param  string  $step  euros; 0 = cents
     *
     * @throws Refused when the rule leaves no price
     */
    public function price(bool $isOfPrice, string $percent, string $step): BigDecimal
    {
        $rule = new PriceRule($isOfPrice, BigDecimal::of($percent), BigDecimal::of($step));

        return $rule->price($this->own ?? $this->master);
    }

    /**
     * Released: as it was planned then. Firm: its own parts at what they cost today, its work as the routing has it.
     *
     * @param  BigRational  $work  cents a piece
     */
    private static function ofOrder(Order $order, BigRational $work): BigRational
    {
        $quantity = BigDecimal::of($order->quantity);
        if ($order->released_at !== null) {
            return BigRational::of($order->plannedOfProduct())->dividedBy($quantity)->simplified();
        }
        $components = $order->components()->with('item')->where('supplied_by', 'us')->get();
        $cost = RolledUp::of(array_values(array_unique($components->map(
            fn (OrderComponent $one): int => $one->item_id,
        )->all())))->cost;
        $material = $components->reduce(
            fn (BigRational $sum, OrderComponent $one): BigRational => $sum->plus(
                $cost->unit($one->item->number)->total()->multipliedBy($one->planned_quantity),
            ),
            BigRational::zero(),
        );

        return $material->dividedBy($quantity)->plus($work)->simplified();
    }

    private static function euros(BigRational $cents): BigDecimal
    {
        return $cents->dividedBy(100)->toScale(4, RoundingMode::HALF_UP);
    }
}
