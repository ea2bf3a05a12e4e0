<?php

namespace App\Actions\Usage;

use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\NeedsGrew;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Question;
use App\Settings\Setting;
use App\Settings\Settings;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\ItemKind;

/**
 * Books the components of a step that are used by backflush when its pieces are counted, with those of steps before it
 * that nothing was counted at; and what went along to the supplier of a step, which is used first. What is not there
 * opens a question; operators are not stopped, unless the shop wants it so.
 */
final class Backflush
{
    /** @param  Collection<int, OrderComponent>  $components  that this step or one before it uses by backflush */
    private function __construct(
        private readonly Ledger $ledger,
        private readonly Order $order,
        private readonly OrderStep $counted,
        private readonly Collection $components,
        private readonly ?ComponentUse $use,
    ) {
    }

    /**
     * Reads what the count may use, before anything is written.
     *
     * @throws NeedsGrew when a component came in between
     */
    public static function of(Ledger $ledger, Held $held, Order $order, OrderStep $counted): self
    {
        $components = self::components($counted)->with('item.unit')->orderBy('id')->get();
        $items = array_values($components->pluck('item_id')->unique()->all());
        if (! $held->needs->cover(Needs::items($items))) {
            throw new NeedsGrew;
        }

        return new self(
            $ledger,
            $order,
            $counted,
            $components,
            $items === [] ? null : new ComponentUse($ledger, $held, [$order->id], $items),
        );
    }

    /** What a count of a step needs: its order, and the stock of what it may use; in one statement. */
    public static function needs(int $step): Needs
    {
        $rows = DB::table('order_steps AS s')
            ->leftJoin('order_components AS c', fn (JoinClause $join) => $join
                ->on('c.order_id', 's.order_id')
                ->on('c.step_number', '<=', 's.number')
                ->whereRaw("(c.issue_by = 'backflush' OR c.along_quantity > 0)"))
            ->where('s.id', $step)
            ->get(['s.order_id', 'c.item_id']);

        return Needs::orders($rows->pluck('order_id'))->and(Needs::items($rows->pluck('item_id')));
    }

    /** @return Builder<OrderComponent> */
    private static function components(OrderStep $counted): Builder
    {
        return OrderComponent::query()
            ->where('order_id', $counted->order_id)
            ->whereRaw("(issue_by = 'backflush' OR along_quantity > 0)")
            ->whereHas('item', fn ($item) => $item->whereNotIn('kind', ItemKind::NEVER_ISSUED))
            ->where('step_number', '<=', $counted->number);
    }

    /**
     * @param  array<int, string>  $reported  used at a supplier, by component; else it goes by the pieces
     *
     * @throws Refused when too little is there and the shop refuses that, or more is reported than is there
     */
    public function book(array $reported = []): void
    {
        foreach (array_diff(array_keys($reported), $this->components->modelKeys()) as $other) {
            throw OutsideRefused::nothingAlong("used.{$other}");
        }
        if ($this->use === null) {
            return;
        }
        $steps = $this->order->steps()->get();
        foreach ($this->components as $component) {
            $said = $reported[$component->id] ?? null;
            if ($said !== null) {
                $this->along($this->use, $component, $component->item->quantity($said)->amount);

                continue;
            }
            $open = self::wanted($this->order, $component, $steps, $this->counted);
            $there = BigDecimal::min($open, $component->along_quantity);
            $this->along($this->use, $component, $there);
            if ($open->isGreaterThan($there) && $component->issue_by === IssueBy::Backflush->value) {
                $this->take($this->use, $component->id, $open->minus($there));
            }
        }
        $this->use->write();
    }

    /**
     * What went along to a supplier is used first.
     *
     * @throws Refused when less of it is there
     */
    private function along(ComponentUse $use, OrderComponent $component, BigDecimal $used): void
    {
        if ($used->isZero()) {
            return;
        }
        $gone = CameBack::good($used);
        $lines = $this->ledger->consigned->componentGone($component, $gone, "used.{$component->id}");
        foreach ($lines as ['lot' => $lot, 'place' => $place, 'of' => $of]) {
            $key = new StockKey($component->item_id, $place, $lot);
            $use->takeFrom($use->component($component->id), $key, $of->good);
        }
    }

    private function take(ComponentUse $use, int $id, BigDecimal $open): void
    {
        $component = $use->component($id);
        $item = $use->item($component->item_id);
        $asks = $item->isTracked() && $item->lot_rule === 'ask';
        $missing = $open->minus($use->takeWhatIsThere($component, $open));
        $asked = BigDecimal::of(
            (string) Question::query()->where('component_id', $id)->whereNull('answered_at')->sum('open_quantity'),
        );
        if ($missing->isGreaterThan($asked)) {
            self::missing($this->ledger, $this->order, $component, $item, $missing->minus($asked), $asks);
        }
    }

    /**
     * What the pieces counted so far take, less what was used of it by whatever way.
     *
     * @param  Collection<int, OrderStep>  $steps
     */
    private static function wanted(
        Order $order,
        OrderComponent $component,
        Collection $steps,
        OrderStep $counted,
    ): BigDecimal {
        // a step nothing was counted at is done by what passed a later one
        $served = BigDecimal::zero();
        foreach ($steps as $step) {
            if ($step->number >= $component->step_number && $step->number <= $counted->number) {
                $served = BigDecimal::max($served, BigDecimal::of($step->good)->plus($step->scrap));
            }
        }

        return UsageProposal::of(
            BigDecimal::of($component->planned_quantity),
            BigDecimal::of($component->used_quantity)->plus($component->replaced_quantity),
            BigRational::of($served)->dividedBy($order->quantity),
            $component->isPerOrder(),
            $component->item->unit->decimals,
            BigDecimal::zero(),
            $component->exactFor($served),
        );
    }

    private static function missing(
        Ledger $ledger,
        Order $order,
        OrderComponent $component,
        Item $item,
        BigDecimal $missing,
        bool $asks,
    ): void {
        if (! $asks && Settings::text(Setting::BackflushShort) === Setting::REFUSE) {
            throw Refused::because(
                Amount::plain($missing)
                    ." {$item->unit->code} of {$item->label()} are missing for what was counted. Bring them to "
                    .'stores first.',
            );
        }
        $ledger->ask->missing($order,
            $component,
            $item,
            $missing,
            $asks ? 'which lots or serials were used?' : 'used, but not there to be booked. Where did they come from?',
        );
    }
}
