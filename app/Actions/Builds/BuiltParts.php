<?php

namespace App\Actions\Builds;

use App\Actions\Usage\ComponentUse;
use App\Actions\Usage\UseLine;
use App\Books\Held;
use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\Buildable;
use KeepPace\Core\Planning\BuildRefused;
use KeepPace\Core\Planning\PartThere;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/** The parts that go into what was built: as the structure says up to now, or as they were typed. */
final readonly class BuiltParts
{
    /** @param  Collection<int, OrderComponent>  $components */
    private function __construct(
        private Ledger $ledger,
        private Order $order,
        private Collection $components,
        private ComponentUse $use,
    ) {
    }

    /** Read before anything is moved. */
    public static function of(Ledger $ledger, Held $held, Order $order): self
    {
        $components = $order->components()
            ->with('item.unit')
            ->whereHas('item', fn ($item) => $item->whereNotIn('kind', ItemKind::NEVER_ISSUED))
            ->get();
        $items = array_values(array_unique($components->pluck('item_id')->all()));

        return new self($ledger, $order, $components, new ComponentUse($ledger, $held, [$order->id], $items));
    }

    /**
     * @param  BigDecimal  $built  pieces, now
     * @param  string  $reason  why more is used than planned
     *
     * @throws Refused with a sentence beside each part that is wrong, and nothing is booked
     */
    public function book(BigDecimal $built, TypedBuild $typed, string $reason): void
    {
        $wrong = [];
        foreach ($this->components as $component) {
            $part = $typed->parts[$component->position] ?? new TypedPart;
            try {
                $this->part($component, $part, $built, $typed->wasUsed, $reason);
            } catch (Refused $refused) {
                $field = in_array(array_key_first($refused->reasons), ['splits', 'codes'], true) ? 'codes' : 'quantity';
                $wrong["parts.{$component->position}.{$field}"] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        $this->use->write();
    }

    /** @throws Refused */
    private function part(
        OrderComponent $component,
        TypedPart $part,
        BigDecimal $built,
        bool $wasUsed,
        string $reason,
    ): void {
        $quantity = $part->quantity === ''
            ? $this->due($component, $built)
            : $component->item->quantity($part->quantity)->amount;
        if ($quantity->isZero()) {
            return;
        }
        $free = $this->use->free($component);
        if ($free->isLessThan($quantity) && ! $wasUsed) {
            throw BuildRefused::missing($component->item->label(), $quantity->minus($free), $this->buildable());
        }
        if ($free->isLessThan($quantity)) {
            $this->asFarAsThere($component, $quantity);

            return;
        }
        $typed = Amount::plain($quantity);
        $this->use->take(new UseLine(
            (string) $component->position,
            $this->order->id,
            $component->id,
            $component->item_id,
            $component->step_number,
            $typed,
            null,
            $part->splits($typed, $component->item->tracking === Tracking::Serial),
        ), $reason !== '', $reason);
    }

    /** It was used and is not in the books: what is there is taken, the rest is asked about. */
    private function asFarAsThere(OrderComponent $component, BigDecimal $quantity): void
    {
        $held = $this->use->component($component->id);
        $missing = $quantity->minus($this->use->takeWhatIsThere($held, $quantity));
        if ($missing->isPositive()) {
            $this->ledger->ask->missing(
                $this->order,
                $held,
                $component->item,
                $missing,
                'built in, but not there to be booked. Where did they come from?',
            );
        }
    }

    /** What the pieces built so far and now take, less what was used. */
    private function due(OrderComponent $component, BigDecimal $built): BigDecimal
    {
        $pieces = $this->order->received()->plus($built);

        return UsageProposal::of(
            BigDecimal::of($component->planned_quantity),
            $component->taken(),
            BigRational::of($pieces)->dividedBy($this->order->quantity),
            $component->isPerOrder(),
            $component->item->unit->decimals,
            BigDecimal::zero(),
            $component->exactFor($pieces),
        );
    }

    /** How many can be built of what is there. */
    private function buildable(): BigDecimal
    {
        $parts = array_values($this->components->map(fn (OrderComponent $one): PartThere => PartThere::of(
            $one->isPerOrder(),
            $one->exactFor(BigDecimal::one()),
            BigDecimal::of($one->planned_quantity),
            BigDecimal::of($this->order->quantity),
            $one->taken(),
            $this->use->free($one),
        ))->all());

        return Buildable::now(
            $this->order->received(),
            $this->order->openQuantity(),
            $parts,
            $this->order->item->unit->decimals,
        );
    }
}
