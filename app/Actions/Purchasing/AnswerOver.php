<?php

namespace App\Actions\Purchasing;

use App\Actions\Stock\LaterValue;
use App\Actions\Stock\Received;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Move;
use App\Models\PurchaseLine;
use App\Models\Question;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Purchasing\OverAnswer;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** What becomes of what came beyond the tolerance of an order and lies blocked: paid, kept unpaid, or given back. */
final class AnswerOver
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when it was answered meanwhile, or does not lie there any more */
    public function handle(int $question, OverAnswer $answer, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::OverAnswered, $signed, new Part(
            function () use ($question): Needs {
                $line = self::line($question);

                return Needs::purchaseOrders([$line->purchase_order_id])->and(Needs::items([$line->item_id]));
            },
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $question, $answer),
        ));
    }

    private static function line(int $question): PurchaseLine
    {
        return PurchaseLine::query()
            ->with('order.supplier')
            ->findOrFail(Question::query()->findOrFail($question)->purchase_line_id);
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $questionId, OverAnswer $answer): void
    {
        $question = Question::query()->findOrFail($questionId);
        if ($question->answered_at !== null) {
            throw PurchaseRefused::answeredMeanwhile($question->answer);
        }
        $line = self::line($questionId);
        $moves = self::moves($question);
        $item = Item::query()->with('unit')->findOrFail($line->item_id);
        $value = new LaterValue($ledger, self::received($moves));
        self::assertThere($ledger, $item, $moves);
        $amount = BigDecimal::of($question->open_quantity);
        match ($answer) {
            OverAnswer::Pay => self::free($ledger, $item, $moves),
            OverAnswer::Unpaid => self::keep($ledger, $item, $moves, $line, $amount, $value),
            OverAnswer::GiveBack => self::back($ledger, $item, $moves, $line),
        };
        $ledger->questions->answered($question, $answer->label());
        $ledger->concernsPurchase($held->purchaseOrder($line->purchase_order_id));
        $ledger->says(
            Amount::plain($amount)." {$item->unit->code} {$item->label()} more than is taken of {$line->number} of "
                ."{$line->order->supplier->name}: {$answer->label()}.",
        );
    }

    /**
     * By which they came: the last of their line, for the whole of a delivery may have been booked in blocked.
     *
     * @return Collection<int, Move>
     */
    private static function moves(Question $question): Collection
    {
        $left = BigDecimal::of($question->quantity);
        $moves = Move::query()
            ->where('booking_id', $question->booking_id)
            ->where('purchase_line_id', $question->purchase_line_id)
            ->where('to_condition', Condition::Blocked->value)
            ->where('quantity', '>', 0)
            ->orderByDesc('id')
            ->get();

        return $moves->filter(function (Move $move) use (&$left): bool {
            $isOver = $left->isPositive();
            $left = $left->minus($move->quantity);

            return $isOver;
        })->reverse()->values();
    }

    /**
     * @param  Collection<int, Move>  $moves
     *
     * @throws Refused when some of it was moved, or its condition changed
     */
    private static function assertThere(Ledger $ledger, Item $item, Collection $moves): void
    {
        $keys = [];
        foreach ($moves as $move) {
            array_push($keys, self::key($move, Condition::Blocked), self::key($move, Condition::Free));
        }
        $ledger->stock->read($keys);
        $there = BigDecimal::zero();
        $wanted = BigDecimal::zero();
        foreach ($moves as $move) {
            $wanted = $wanted->plus($move->quantity);
            $lies = $ledger->stock->at(self::key($move, Condition::Blocked));
            $there = $there->plus(BigDecimal::min($move->quantity, $lies));
        }
        if ($there->isLessThan($wanted)) {
            throw PurchaseRefused::overIsGone(Amount::plain($there)." {$item->unit->code}");
        }
    }

    /**
     * @param  Collection<int, Move>  $moves
     * @return list<Received>
     */
    private static function received(Collection $moves): array
    {
        $received = fn (Move $move): Received => Received::goods($move, BigDecimal::of($move->quantity));

        return array_values($moves->map($received)->all());
    }

    private static function key(Move $move, Condition $as): StockKey
    {
        return new StockKey($move->item_id, $move->to_place_id, $move->lot_id, $as);
    }

    /** @param  Collection<int, Move>  $moves */
    private static function free(Ledger $ledger, Item $item, Collection $moves): void
    {
        foreach ($moves as $move) {
            $ledger->moves->move(
                $item,
                BigDecimal::of($move->quantity),
                null,
                End::stock(self::key($move, Condition::Blocked)),
                End::stock(self::key($move, Condition::Free)),
            );
        }
    }

    /**
     * It stays and is not paid: what was agreed for it goes off the stock's value again.
     *
     * @param  Collection<int, Move>  $moves
     */
    private static function keep(
        Ledger $ledger,
        Item $item,
        Collection $moves,
        PurchaseLine $line,
        BigDecimal $amount,
        LaterValue $value,
    ): void {
        self::free($ledger, $item, $moves);
        $price = fn (Move $move): int => Cents::of(BigDecimal::of($move->quantity), $line->price);
        $value->add($moves->map(fn (Move $move): int => -$price($move))->all());
        $ledger->owed->unpaid($line, $amount);
    }

    /**
     * It goes back; what was ordered stays as it is.
     *
     * @param  Collection<int, Move>  $moves
     */
    private static function back(Ledger $ledger, Item $item, Collection $moves, PurchaseLine $line): void
    {
        foreach ($moves as $move) {
            $from = self::key($move, Condition::Blocked);
            WayBack::move($ledger, $line, $item, BigDecimal::of($move->quantity), $from);
        }
        $line->save();
    }
}
