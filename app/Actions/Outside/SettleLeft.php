<?php

namespace App\Actions\Outside;

use App\Actions\Stock\LaterValue;
use App\Actions\Stock\Receipts;
use App\Actions\Stock\SpreadOver;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Place;
use App\Models\PurchasePart;
use App\Models\Question;
use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Outside\PartLeft;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\StockKey;

/** Answers what becomes of a part that is left at a supplier (trade.md W4). */
final class SettleLeft
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when it was answered meanwhile, or nothing of it is left */
    public function handle(int $question, PartLeft $answer, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::LeftSettled, $signed, new Part(
            fn (): Needs => self::needs($question),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $question, $answer),
        ));
    }

    private static function part(int $question): PurchasePart
    {
        return PurchasePart::query()
            ->with('item.unit', 'line.order.supplier', 'line.item')
            ->findOrFail(Question::query()->findOrFail($question)->part_id);
    }

    private static function needs(int $question): Needs
    {
        $part = self::part($question);

        return Needs::purchaseOrders([$part->line->purchase_order_id])
            ->and(Needs::items([$part->item_id, $part->line->item_id]));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $questionId, PartLeft $answer): void
    {
        $question = Question::query()->findOrFail($questionId);
        if ($question->answered_at !== null) {
            throw PurchaseRefused::answeredMeanwhile($question->answer);
        }
        $part = self::part($questionId);
        $left = $part->there();
        if ($left->isZero()) {
            throw OutsideRefused::nothingLeft();
        }
        $cents = $answer === PartLeft::Stays ? 0 : self::gone($ledger, $part, $left, $answer);
        if ($answer === PartLeft::Used) {
            self::intoWhatCame($ledger, $part, $cents);
        }
        $ledger->questions->answered($question, $answer->says());
        $ledger->concernsPurchase($held->purchaseOrder($part->line->purchase_order_id));
        $ledger->says(Amount::plain($left)." {$part->item->unit->code} {$part->item->label()} at "
            ."{$part->line->order->supplier->name}, left of {$part->line->number}: {$answer->says()}.");
    }

    /** @return int cents that left */
    private static function gone(Ledger $ledger, PurchasePart $part, BigDecimal $left, PartLeft $answer): int
    {
        $none = BigDecimal::zero();
        $gone = match ($answer) {
            PartLeft::Back => CameBack::unworked($left),
            PartLeft::Lost => new CameBack($none, $none, $left, $none),
            default => CameBack::good($left),
        };
        $at = Place::ofSupplier($part->line->order->supplier)->id;
        $store = Place::stores()->firstOrFail()->id;
        $cents = 0;
        foreach ($ledger->consigned->partGone($part, $gone, 'left') as ['lot' => $lot, 'of' => $of]) {
            $from = new StockKey($part->item_id, $at, $lot);
            $into = new StockKey($part->item_id, $store, $lot);
            $ledger->stock->read([$from, $into]);
            $to = match ($answer) {
                PartLeft::Back => End::stock($into),
                PartLeft::Lost => End::scrap(ScrapClass::Other),
                default => End::outside(),
            };
            $cents += $ledger->moves->move($part->item, $of->gone(), null, End::stock($from), $to);
        }

        return $cents;
    }

    /** What is there of what came is worth so much more; of what has left it is variance. */
    private static function intoWhatCame(Ledger $ledger, PurchasePart $part, int $cents): void
    {
        $received = Receipts::ofLine($part->line, BigDecimal::zero(), BigDecimal::of($part->line->received_quantity));
        if ($received === []) {
            $ledger->moves->variance($part->item, $cents);

            return;
        }
        $spread = SpreadOver::within($cents, $received);
        (new LaterValue($ledger, array_column($spread, 0)))->add(array_column($spread, 1));
    }
}
