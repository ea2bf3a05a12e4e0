<?php

namespace App\Books;

use App\Access\Role;
use App\Models\Claim;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\PurchaseLine;
use App\Models\PurchasePart;
use App\Models\Question;
use App\Models\QuestionKind;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;

/** What a booking leaves open is asked of whoever can say: each kind of question, of whom, in which words. */
final readonly class Ask
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** What backflush could not take is asked of the storekeeper; the operator goes on. */
    public function missing(
        Order $order,
        OrderComponent $component,
        Item $item,
        BigDecimal $missing,
        string $why,
    ): void {
        $amount = Amount::plain($missing);
        $step = $component->step_number;
        $this->open(
            QuestionKind::Backflush,
            Role::Storekeeper,
            $missing,
            "{$amount} {$item->unit->code} {$item->label()} of order {$order->number}, step {$step}: {$why}",
            ['order_id' => $order->id, 'component_id' => $component->id],
        );
    }

    /**
     * Scrap leaves an order short: the supervisor is asked how it is cured. One question a report, so a reversed report
     * takes back just its own.
     */
    public function short(Order $order, int $step, BigDecimal $scrap): void
    {
        $amount = Amount::plain($scrap);
        $this->open(
            QuestionKind::Short,
            Role::Supervisor,
            $scrap,
            "Order {$order->number} will finish {$amount} short: scrapped at step {$step}. Make them again, take them "
                .'from stock, or accept it?',
            ['order_id' => $order->id],
        );
    }

    /** More came than is taken of what was ordered: the buyer is asked what becomes of it. */
    public function over(PurchaseLine $line, BigDecimal $quantity, string $says): void
    {
        $this->open(QuestionKind::Over, Role::Buyer, $quantity, $says, ['purchase_line_id' => $line->id]);
    }

    /** Pieces came back spoiled, and nobody said whose fault it was: the buyer is asked. */
    public function rejects(?Order $order, Claim $claim, string $says): void
    {
        $this->open(
            QuestionKind::Rejects,
            Role::Buyer,
            BigDecimal::of($claim->pieces),
            $says,
            ['order_id' => $order?->id, 'claim_id' => $claim->id],
        );
    }

    /** A part of ours is left at a supplier when all that was made of it has come: the buyer is asked. */
    public function left(PurchasePart $part, BigDecimal $amount, string $says): void
    {
        $this->open(QuestionKind::Left, Role::Buyer, $amount, $says, ['part_id' => $part->id]);
    }

    /** @param  array<string, int|null>  $about  columns of what it is about */
    private function open(QuestionKind $kind, Role $of, BigDecimal $amount, string $says, array $about): void
    {
        Question::query()->create($about + [
            'booking_id' => $this->ledger->booking->id,
            'kind' => $kind,
            'says' => $says,
            'quantity' => (string) $amount,
            'open_quantity' => (string) $amount,
            'role' => $of->value,
            'opened_at' => now(),
        ]);
    }
}
