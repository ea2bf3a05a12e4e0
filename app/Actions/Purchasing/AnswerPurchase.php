<?php

namespace App\Actions\Purchasing;

use App\Books\Ledger;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\AnsweredLine;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * What a supplier says to an order. A day is taken at once, for it is theirs; another quantity or price stands beside
 * what was ordered until somebody says which holds.
 */
final class AnswerPurchase
{
    public function __construct(private readonly PurchaseChange $change)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  array<int, TypedLine>  $lines  by line; those that are not there were not answered
     * @param  string  $reference  the supplier's number of it
     *
     * @throws Refused beside the lines that are wrong
     */
    public function handle(int $id, int $version, array $lines, string $reference, Signed $signed): Booking
    {
        return $this->change->handle(
            $id,
            $version,
            PurchaseDeed::Answer,
            $signed,
            function (Ledger $ledger, PurchaseOrder $order) use ($lines, $reference): string {
                $today = self::today();
                $said = $wrong = [];
                foreach ($order->lines()->with('item.unit', 'item.units.unit', 'typedUnit')->get() as $line) {
                    try {
                        $typed = $line->is_open ? $lines[$line->id] ?? null : null;
                        $said = $typed === null ? $said : [...$said, ...self::answered($line, $typed, $today)];
                    } catch (Refused $refused) {
                        $wrong["lines.{$line->id}"] = $refused->getMessage();
                    }
                }
                if ($wrong !== []) {
                    throw new Refused($wrong);
                }
                $order->fill([
                    'confirmed_on' => $order->confirmed_on ?? $today,
                    'supplier_reference' => $reference,
                ]);

                return "{$order->supplier->name} answered purchase {$order->number}: "
                    .($said === [] ? 'as it was ordered.' : implode('; ', $said).'.');
            },
        );
    }

    /**
     * Says of a line which holds: what the supplier answered, or what was ordered.
     *
     * @throws Refused when nothing is asked about
     */
    public function settle(int $lineId, bool $isTaken, Signed $signed): Booking
    {
        $id = PurchaseLine::query()->findOrFail($lineId)->purchase_order_id;
        $version = PurchaseOrder::query()->findOrFail($id)->version;

        return $this->change->handle(
            $id,
            $version,
            PurchaseDeed::Answer,
            $signed,
            function (Ledger $ledger, PurchaseOrder $order) use ($lineId, $isTaken): string {
                $line = PurchaseLine::query()->with('item.unit')->findOrFail($lineId);
                $asked = $line->asked() ?? throw PurchaseRefused::notAsked($line->number);
                $line->fill(['answered_quantity' => null, 'answered_price' => null]);
                if ($isTaken) {
                    self::take($line, $asked);
                } else {
                    $order->changed_on = self::today(); // the supplier is told so
                }
                $line->save();

                return $isTaken
                    ? "{$line->number} is taken as the supplier says: ".self::says($line, $asked).'.'
                    : "{$line->number} stays as it was ordered; the supplier is told so when it is sent again.";
            },
        );
    }

    /** What was given up before stays given up. */
    private static function take(PurchaseLine $line, AnsweredLine $asked): void
    {
        if ($asked->answered->isLessThan($line->received_quantity)) {
            $came = Amount::plain($line->received_quantity)." {$line->item->unit->code}";
            throw PurchaseRefused::cameAlready('answer', $came);
        }
        $line->quantity = (string) $asked->answered->plus($line->cancelled_quantity);
        $line->price = (string) $asked->answeredPrice;
    }

    /** @return list<string> what differs */
    private static function answered(PurchaseLine $line, TypedLine $typed, string $today): array
    {
        if ($typed->on < $today) {
            throw PurchaseRefused::dayHasPassed(null);
        }
        $unit = $line->typedUnit->code ?? null;
        $said = [];
        if ($line->expected_on !== $typed->on) {
            $said[] = "{$line->number} on ".Said::day($typed->on).', ordered for '.Said::day($line->expected_on);
            ExpectedDay::said($line, $typed->on, $line->asked_for);
        }
        $line->fill(['confirmed_on' => $today, 'ask_again_on' => null]);
        $answer = new AnsweredLine(
            $line->wanted(),
            BigDecimal::of($line->price),
            $line->item->quantity($typed->quantity, $unit)->amount,
            BigDecimal::of($typed->price),
        );
        $line->fill([
            'answered_quantity' => $answer->differs() ? (string) $answer->answered : null,
            'answered_price' => $answer->differs() ? (string) $answer->answeredPrice : null,
        ])->save();
        if ($answer->differs()) {
            $said[] = "{$line->number} ".self::says($line, $answer);
        }

        return $said;
    }

    /** "36 pc instead of 40, 1.25 € each instead of 1.20" */
    private static function says(PurchaseLine $line, AnsweredLine $answer): string
    {
        $plain = fn (BigDecimal $one): string => Amount::plain((string) $one);

        return implode(', ', array_filter([
            $answer->isOtherQuantity()
                ? "{$plain($answer->answered)} {$line->item->unit->code} instead of {$plain($answer->ordered)}"
                : '',
            $answer->isOtherPrice()
                ? "{$plain($answer->answeredPrice)} € each instead of {$plain($answer->price)} €"
                : '',
        ]));
    }

    private static function today(): string
    {
        return now(config()->string('pace.zone'))->toDateString();
    }
}
