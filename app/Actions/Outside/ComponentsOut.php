<?php

namespace App\Actions\Outside;

use App\Actions\Usage\FreeStock;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Place;
use App\Models\Supplier;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Components of steps done outside go along with the pieces: from now on they are stock of ours at the place of the
 * supplier, for their order alone, until they are used up there by what comes back.
 */
final readonly class ComponentsOut
{
    public function __construct(private Ledger $ledger, private Held $held)
    {
    }

    /** @param  list<TypedPartOut|TypedComponentOut>  $along */
    public static function needs(array $along): Needs
    {
        $components = OrderComponent::query()
            ->whereKey(array_map(fn (TypedComponentOut $row): int => $row->component, self::of($along)))
            ->get();

        return Needs::orders($components->pluck('order_id'))->and(Needs::items($components->pluck('item_id')));
    }

    /**
     * @param  list<TypedPartOut|TypedComponentOut>  $along
     * @return list<string> what went, in words
     *
     * @throws Refused with a sentence beside each row that is wrong
     */
    public function write(Supplier $to, array $along, CarbonImmutable $at): array
    {
        $said = $wrong = [];
        foreach (self::of($along) as $row) {
            try {
                $said[] = $this->one($to, $row, $at);
            } catch (Refused $refused) {
                $wrong[$row->field()] = $refused->getMessage();
            }
        }

        return $wrong === [] ? $said : throw new Refused($wrong);
    }

    /** @throws Refused */
    private function one(Supplier $to, TypedComponentOut $row, CarbonImmutable $at): string
    {
        $component = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($row->component);
        $item = $component->item;
        $order = $this->held->order($component->order_id);
        $order->assertMay(OrderDeed::SendOut);
        $step = OrderStep::query()
            ->where('order_id', $order->id)
            ->where('number', $component->step_number)
            ->firstOrFail();
        $amount = $item->quantity($row->quantity)->amount;
        $what = "{$item->label()} for {$order->number}";
        self::assertCan($component, $step, $to, $amount, $what);
        $free = new FreeStock($this->ledger, (new Collection([$item]))->keyBy('id'));
        $lot = (new StockOut($this->ledger, Place::ofSupplier($to)))->carry($item, $amount, $row->balance);
        $free->taken($order->id, $item->id, $amount);
        $this->ledger->covers->assertStillThere($item, $amount);
        $this->ledger->kept->assertThere($item);
        $back = BackDay::ofSending(Deliveries::now(), $step, $at);
        $this->ledger->consigned->sendComponent($component, $to, $lot, $amount, $at, $back);
        $this->ledger->touch($order);

        return Amount::plain($amount)." {$item->unit->code} {$what}";
    }

    /** @throws Refused */
    private static function assertCan(
        OrderComponent $component,
        OrderStep $step,
        Supplier $to,
        BigDecimal $amount,
        string $what,
    ): void {
        $open = $component->openQuantity();
        match (true) {
            $step->supplier_id !== $to->id => throw OutsideRefused::atAnother($what, $to->name),
            $component->supplied_by !== 'us' => throw OutsideRefused::notOurs($component->item->label()),
            $amount->isGreaterThan($open) => throw OutsideRefused::moreThanItTakes($amount, $open, $what),
            default => null,
        };
    }

    /**
     * @param  list<TypedPartOut|TypedComponentOut>  $along
     * @return list<TypedComponentOut>
     */
    private static function of(array $along): array
    {
        return array_values(array_filter($along, fn ($row): bool => $row instanceof TypedComponentOut));
    }
}
