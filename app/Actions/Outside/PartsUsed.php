<?php

namespace App\Actions\Outside;

use App\Books\Ledger;
use App\Models\Place;
use App\Models\PurchasePart;
use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\PartUse;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\StockKey;

/** Parts of ours leave the place of a supplier: into what he made of them, as scrap, or back into stores. */
final class PartsUsed
{
    /** @var list<string> */
    private array $said = [];

    private int $spoiled = 0;

    /** @param  int  $store  where what comes back is put */
    public function __construct(
        private readonly Ledger $ledger,
        private readonly Place $supplier,
        private readonly int $store,
    ) {
    }

    /**
     * @param  BigDecimal  $back  come back unused
     * @return int cents of what is in the good pieces
     *
     * @throws Refused when less is there
     */
    public function write(PurchasePart $part, PartUse $use, BigDecimal $back): int
    {
        $gone = new CameBack($use->forGood, $use->forSpoiled, BigDecimal::zero(), $back);
        $inGood = 0;
        $lines = $this->ledger->consigned->partGone($part, $gone, "parts.{$part->id}.used");
        foreach ($lines as ['lot' => $lot, 'of' => $of]) {
            $inGood += $this->move($part, $lot, $of->good, End::outside());
            $this->spoiled += $this->move($part, $lot, $of->spoiled, End::scrap(ScrapClass::Machining));
            $this->move($part, $lot, $of->unworked, null);
        }
        $unit = $part->item->unit->code;
        $this->said[] = Amount::plain($use->all())." {$unit} {$part->item->label()} used"
            .($back->isZero() ? '' : ', '.Amount::plain($back)." {$unit} back").'.';

        return $inGood;
    }

    /** @return int cents of what was in the spoiled pieces */
    public function spoiled(): int
    {
        return $this->spoiled;
    }

    /** @return list<string> sentences */
    public function said(): array
    {
        return $this->said;
    }

    /**
     * @param  End|null  $to  null = into the store
     * @return int cents
     */
    private function move(PurchasePart $part, int $lot, BigDecimal $amount, ?End $to): int
    {
        if ($amount->isZero()) {
            return 0;
        }
        $from = new StockKey($part->item_id, $this->supplier->id, $lot);
        $into = new StockKey($part->item_id, $this->store, $lot);
        $this->ledger->stock->read([$from, $into]);

        return $this->ledger->moves->move($part->item, $amount, null, End::stock($from), $to ?? End::stock($into));
    }
}
