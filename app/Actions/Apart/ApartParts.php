<?php

namespace App\Actions\Apart;

use App\Actions\Orders\OutputReceipt;
use App\Books\Ledger;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Costing\Apart;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

/** The parts that come out of a unit, judged line by line. */
final readonly class ApartParts
{
    /**
     * @param  array<int, array{item: Item, amount: BigDecimal, typed: TypedApartPart}>  $parts  by row of the form
     */
    private function __construct(private array $parts)
    {
    }

    /**
     * @param  array<int, TypedApartPart>  $typed
     * @param  Collection<string, Item>  $items  by key
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public static function judged(Item $unit, array $typed, Collection $items): self
    {
        $parts = $wrong = [];
        foreach ($typed as $at => $part) {
            $item = $items[Code::keyOf($part->item)] ?? null;
            $says = self::wrong($unit, $part, $item);
            if ($item === null || $says !== null) {
                $wrong["parts.{$at}.item"] = (string) $says;

                continue;
            }
            try {
                $parts[$at] = [
                    'item' => $item,
                    'amount' => $item->quantity($part->quantity)->amount,
                    'typed' => $part,
                ];
            } catch (Refused $refused) {
                $wrong["parts.{$at}.quantity"] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        // they are 100 together, or it is refused
        Apart::shares(0, array_map(fn (array $part): BigDecimal => BigDecimal::of($part['typed']->percent), $parts));

        return new self($parts);
    }

    private static function wrong(Item $unit, TypedApartPart $part, ?Item $item): ?string
    {
        return match (true) {
            $item === null => "No item has the number {$part->item}. Type part of its name to find it.",
            $item->id === $unit->id => "{$item->number} is what is taken apart.",
            ! $item->kind->hasStock() => "{$item->label()} is {$item->kind->label()}: it cannot come into stock.",
            default => null,
        };
    }

    /** @return list<array<string, mixed>> columns of the order's outputs, in the order of the rows */
    public function outputs(): array
    {
        return array_values(array_map(fn (array $part): array => [
            'kind' => OutputKind::Recovered,
            'item_id' => $part['item']->id,
            'basis' => LineBasis::PerUnit,
            'ratio_p' => (string) $part['amount']->getUnscaledValue(),
            'ratio_q' => (string) BigDecimal::ofUnscaledValue(1, 0)->multipliedBy(10 ** $part['amount']->getScale()),
            'share_rule' => ShareRule::Percent,
            'share' => $part['typed']->percent,
        ], $this->parts));
    }

    /**
     * Read before anything is moved.
     *
     * @param  int  $owner  a customer, whose own it was; 0 = us
     *
     * @throws Refused when lots or serials are missing
     */
    public function read(Ledger $ledger, Order $order, int $place, int $owner): ApartReceipts
    {
        $outputs = $order->beside()->with('item.unit', 'item.units.unit')->get()->values();
        $wrong = $receipts = [];
        foreach (array_keys($this->parts) as $n => $at) {
            ['amount' => $amount, 'typed' => $typed] = $this->parts[$at];
            $output = $outputs[$n] ?? throw new \LogicException('Each part is an output.');
            try {
                $receipts[] = [
                    'output' => $output,
                    'amount' => $amount,
                    'typed' => $typed,
                    'into' => $this->into($ledger, $order, $output, $amount, $typed, $place, $owner),
                ];
            } catch (Refused $refused) {
                $wrong["parts.{$at}.codes"] = $refused->getMessage();
            }
        }

        return $wrong === [] ? new ApartReceipts($ledger, $order, $receipts) : throw new Refused($wrong);
    }

    /** Null = it is scrap, and comes into no stock. */
    private function into(
        Ledger $ledger,
        Order $order,
        OrderOutput $output,
        BigDecimal $amount,
        TypedApartPart $typed,
        int $place,
        int $owner,
    ): ?OutputReceipt {
        $as = $typed->grade->condition();

        return $as instanceof Condition
            ? OutputReceipt::read($ledger, $order, $output, $amount, $typed->codes, $place, $owner, $as)
            : null;
    }
}
