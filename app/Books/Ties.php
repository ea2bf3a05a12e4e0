<?php

namespace App\Books;

use App\Models\BookingKind;
use App\Models\Tie;
use App\Models\TieEntry;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Refused;

/**
 * What supplies what: the one book of all that is tied. What may be tied, and what comes back of it, is told beside it:
 * customer lines by `Covers`, stock kept for orders by `Kept`, orders made for a part of another by `MadeFor`, what is
 * bought for somebody by `Bought`.
 */
final class Ties implements Book
{
    public function __construct(private readonly Ledger $ledger)
    {
    }

    /**
     * Adds to (or takes from) what one supply gives to one demand.
     *
     * @param  bool  $isHard  nobody else may have it
     * @param  int  $item  of the supply
     *
     * @throws CoverRefused when orders would supply one another in a ring
     */
    public function add(TieDemand $demand, TieSupply $supply, bool $isHard, int $item, BigDecimal $quantity): void
    {
        Ring::assertNone($demand, $supply);
        $tie = Tie::query()->firstOrCreate(
            [
                'demand_kind' => $demand->kind,
                'demand_id' => $demand->id,
                'supply_kind' => $supply->kind,
                'supply_id' => $supply->id,
                'is_hard' => $isHard,
            ],
            ['item_id' => $item, 'quantity' => '0'],
        );
        $this->change($tie, $quantity);
    }

    public function change(Tie $tie, BigDecimal $quantity): void
    {
        // added in SQL: the check of the column refuses what would fall below zero
        Tie::query()->whereKey($tie->id)->update(['quantity' => DB::raw("quantity + {$quantity}")]);
        $tie->quantity = (string) $tie->left()->plus($quantity);
        $tie->syncOriginal();
        $this->ledger->booking->tieEntries()->create(['tie_id' => $tie->id, 'quantity' => (string) $quantity]);
    }

    public function locks(Undone $undone): Needs
    {
        $ties = self::of($undone)->load('tie.line', 'tie.component', 'tie.output', 'tie.purchase')->pluck('tie');

        return Needs::customerOrders($ties->pluck('line.customer_order_id'))
            ->and(Needs::orders([...$ties->pluck('component.order_id'), ...$ties->pluck('output.order_id')]))
            ->and(Needs::purchaseOrders($ties->pluck('purchase.purchase_order_id')))
            ->and(Needs::items($ties->pluck('item_id')));
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    /** @throws Refused when stock that goes back is promised, or kept for an order */
    public function reverse(Undone $undone): void
    {
        $entries = self::of($undone)->load('tie.line', 'tie.component', 'tie.output')->reverse();
        foreach ($entries->groupBy('tie_id') as $of) {
            $tie = $of[0]->tie;
            // what a booking did to one tie in several lines is taken back at once
            $changed = BigDecimal::sum(...$of->map(fn (TieEntry $entry): BigDecimal => $entry->amount())->all());
            $this->back($tie, $changed, $undone);
        }
        $this->ledger->covers->assertLeft($undone);
        $this->ledger->kept->assertLeft($undone);
    }

    private function back(Tie $tie, BigDecimal $changed, Undone $undone): void
    {
        if ($undone->booking->kind === BookingKind::GoodsIn) {
            // what came was dealt out: line by line it is taken back where all of its item goes
            $undone->isWholeOf($tie->item_id) && $this->wholly($tie, $changed, $undone);
        } elseif ($undone->isWhole || $tie->isKept()) {
            $this->wholly($tie, $changed, $undone);
        }
    }

    private function wholly(Tie $tie, BigDecimal $changed, Undone $undone): void
    {
        match (true) {
            $tie->isBought() => $this->ledger->bought->back($tie, $changed),
            $tie->isKept() => $this->ledger->kept->back($tie, $changed, $undone),
            $tie->demand_kind === DemandKind::Line => $this->ledger->covers->back($tie, $changed),
            default => $this->ledger->madeFor->back($tie, $changed),
        };
    }

    public function flush(): void
    {
    }

    /** @return Collection<int, TieEntry> */
    private static function of(Undone $undone): Collection
    {
        return $undone->booking->tieEntries()->orderBy('id')->get();
    }
}
