<?php

namespace App\Actions\Questions;

use App\Access\Role;
use App\Actions\Bookings\Ledger;
use App\Actions\Usage\ComponentUse;
use App\Actions\Usage\UseLine;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Question;
use Brick\Math\BigDecimal;

/** Opens questions, and closes them when what was asked for has been booked. */
final class Questions
{
    /** What backflush could not take is asked of the storekeeper; the operator goes on. */
    public static function missing(Ledger $ledger, Order $order, OrderComponent $component, Item $item, BigDecimal $missing, string $why): void
    {
        $amount = \KeepPace\Core\Quantity\Amount::plain($missing);
        Question::query()->create(['booking_id' => $ledger->booking->id, 'kind' => 'backflush', 'order_id' => $order->id, 'component_id' => $component->id,
            'says' => "{$amount} {$item->unit->code} {$item->label()} of order {$order->number}, step {$component->step_number}: {$why}",
            'quantity' => (string) $missing, 'open_quantity' => (string) $missing, 'role' => Role::Storekeeper->value, 'opened_at' => now()]);
    }

    /** Scrap leaves an order short: the supervisor is asked how it is cured. One question an order, with all of it. */
    public static function short(Ledger $ledger, Order $order, BigDecimal $scrap, BigDecimal $all): void
    {
        $says = "Order {$order->number} will finish ".\KeepPace\Core\Quantity\Amount::plain($all).' short. Make them again, take them from stock, or accept it?';
        $open = Question::query()->where('order_id', $order->id)->where('kind', 'short')->whereNull('answered_at')->lockForUpdate()->first();
        if ($open !== null) {
            $open->fill(['says' => $says, 'quantity' => (string) BigDecimal::of($open->quantity)->plus($scrap), 'open_quantity' => (string) BigDecimal::of($open->open_quantity)->plus($scrap)])->save();

            return;
        }
        Question::query()->create(['booking_id' => $ledger->booking->id, 'kind' => 'short', 'order_id' => $order->id, 'says' => $says, 'quantity' => (string) $scrap, 'open_quantity' => (string) $scrap,
            'role' => Role::Supervisor->value, 'opened_at' => now()]);
    }

    /** @param  list<UseLine>  $lines  booked just now */
    public static function usedNow(Ledger $ledger, ComponentUse $use, array $lines): void
    {
        $taken = [];
        foreach ($lines as $line) {
            if ($line->component !== null) {
                $taken[$line->component] = ($taken[$line->component] ?? BigDecimal::zero())->plus($use->item($line->item)->quantity($line->quantity, $line->unit)->amount);
            }
        }
        foreach (Question::query()->whereIn('component_id', array_keys($taken))->whereNull('answered_at')->orderBy('id')->lockForUpdate()->get() as $question) {
            $part = BigDecimal::min($question->open_quantity, $taken[$question->component_id]);
            $taken[$question->component_id] = $taken[$question->component_id]->minus($part);
            $question->open_quantity = (string) BigDecimal::of($question->open_quantity)->minus($part);
            if (BigDecimal::of($question->open_quantity)->isZero()) {
                $question->answered_at = now()->toImmutable();
                $question->answered_by = $ledger->booking->user_id;
                $question->answer = 'booked';
                $question->answer_booking_id = $ledger->booking->id;
            }
            $question->save();
        }
    }

    /** A reversed booking takes its questions with it, and opens again those it had answered. */
    public static function reversed(Ledger $ledger, Booking $booking): void
    {
        Question::query()->where('booking_id', $booking->id)->whereNull('answered_at')
            ->update(['answered_at' => now(), 'answered_by' => $ledger->booking->user_id, 'answer' => 'taken back with its booking', 'open_quantity' => '0',
                'answer_booking_id' => $ledger->booking->id]);
        $back = [];
        foreach ($booking->moves as $move) {
            if ($move->component_id !== null) {
                $back[$move->component_id] = ($back[$move->component_id] ?? BigDecimal::zero())->plus($move->quantity);
            }
        }
        foreach (Question::query()->whereIn('component_id', array_keys($back))->where('booking_id', '<', $booking->id)->whereColumn('open_quantity', '<', 'quantity')
            ->where(fn ($any) => $any->whereNull('answered_at')->orWhere('answer', 'booked'))->orderByDesc('id')->lockForUpdate()->get() as $question) {
            $part = BigDecimal::min(BigDecimal::of($question->quantity)->minus($question->open_quantity), $back[$question->component_id]);
            $back[$question->component_id] = $back[$question->component_id]->minus($part);
            if ($part->isPositive()) {
                $question->fill(['open_quantity' => (string) BigDecimal::of($question->open_quantity)->plus($part), 'answered_at' => null, 'answered_by' => null,
                    'answer' => '', 'answer_booking_id' => null])->save();
            }
        }
    }
}
