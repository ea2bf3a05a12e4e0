<?php

namespace App\Actions\Questions;

use App\Access\Role;
use App\Books\Ledger;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Question;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;

/** Opens questions, and closes them when what was asked for has been booked. */
final class Questions
{
    /** What backflush could not take is asked of the storekeeper; the operator goes on. */
    public static function missing(
        Ledger $ledger,
        Order $order,
        OrderComponent $component,
        Item $item,
        BigDecimal $missing,
        string $why,
    ): void {
        $amount = Amount::plain($missing);
        Question::query()->create([
            'booking_id' => $ledger->booking->id,
            'kind' => 'backflush',
            'order_id' => $order->id,
            'component_id' => $component->id,
            'says' => "{$amount} {$item->unit->code} {$item->label()} of order {$order->number}, step "
                ."{$component->step_number}: {$why}",
            'quantity' => (string) $missing,
            'open_quantity' => (string) $missing,
            'role' => Role::Storekeeper->value,
            'opened_at' => now(),
        ]);
    }

    /**
     * Scrap leaves an order short: the supervisor is asked how it is cured. One question a report, so a reversed report
     * takes back just its own.
     */
    public static function short(Ledger $ledger, Order $order, int $step, BigDecimal $scrap): void
    {
        $amount = Amount::plain($scrap);
        Question::query()->create(['booking_id' => $ledger->booking->id, 'kind' => 'short', 'order_id' => $order->id,
            'says' => "Order {$order->number} will finish {$amount} short: scrapped at step {$step}. Make them "
                .'again, take them from stock, or accept it?',
            'quantity' => (string) $scrap,
            'open_quantity' => (string) $scrap,
            'role' => Role::Supervisor->value,
            'opened_at' => now(),
        ]);
    }

    /** So many of what the order is short were cured, the oldest first; a question with nothing left is answered. */
    public static function cured(Ledger $ledger, Order $order, BigDecimal $amount, string $answer): void
    {
        foreach (
            Question::query()
                ->where('order_id', $order->id)
                ->where('kind', 'short')
                ->whereNull('answered_at')
                ->orderBy('id')
                ->get() as $question
        ) {
            $amount = $amount->minus(self::settle($ledger, $question, $amount, $answer));
        }
    }

    /** @param  array<int, BigDecimal>  $taken  used just now, by component */
    public static function usedNow(Ledger $ledger, array $taken): void
    {
        foreach (
            Question::query()
                ->whereIn('component_id', array_keys($taken))
                ->whereNull('answered_at')
                ->orderBy('id')
                ->get() as $question
        ) {
            $taken[$question->component_id] = $taken[$question->component_id]->minus(
                self::settle($ledger, $question, $taken[$question->component_id], 'booked'),
            );
        }
    }

    /** @return BigDecimal what of the amount the question took */
    private static function settle(Ledger $ledger, Question $question, BigDecimal $amount, string $answer): BigDecimal
    {
        $part = BigDecimal::min($question->open_quantity, $amount);
        $left = BigDecimal::of($question->open_quantity)->minus($part);
        $question->open_quantity = (string) $left;
        if ($left->isZero()) {
            $question->fill([
                'answered_at' => now(),
                'answered_by' => $ledger->booking->user_id,
                'answer' => $answer,
                'answer_booking_id' => $ledger->booking->id,
            ]);
        }
        $question->save();

        return $part;
    }

    /** A reversed booking takes its questions with it, and opens again those it had answered. */
    public static function reversed(Ledger $ledger, Booking $booking): void
    {
        Question::query()
            ->where('booking_id', $booking->id)
            ->whereNull('answered_at')
            ->update([
                'answered_at' => now(),
                'answered_by' => $ledger->booking->user_id,
                'answer' => 'taken back with its booking',
                'open_quantity' => '0',
                'answer_booking_id' => $ledger->booking->id,
            ]);
        $back = [];
        foreach ($booking->moves as $move) {
            if ($move->component_id !== null) {
                $back[$move->component_id] = ($back[$move->component_id] ?? BigDecimal::zero())->plus($move->quantity);
            }
        }
        foreach (
            Question::query()
                ->whereIn('component_id', array_keys($back))
                ->where('booking_id', '<', $booking->id)
                ->whereColumn('open_quantity', '<', 'quantity')
                ->where(fn ($any) => $any->whereNull('answered_at')->orWhere('answer', 'booked'))
                ->orderByDesc('id')
                ->get() as $question
        ) {
            $part = BigDecimal::min(
                BigDecimal::of($question->quantity)->minus($question->open_quantity),
                $back[$question->component_id],
            );
            $back[$question->component_id] = $back[$question->component_id]->minus($part);
            if ($part->isPositive()) {
                $question
                    ->fill([
                        'open_quantity' => (string) BigDecimal::of($question->open_quantity)->plus($part),
                        'answered_at' => null,
                        'answered_by' => null,
                        'answer' => '',
                        'answer_booking_id' => null,
                    ])
                    ->save();
            }
        }
    }
}
