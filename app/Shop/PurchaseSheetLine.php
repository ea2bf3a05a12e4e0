<?php

namespace App\Shop;

use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\TypedPrice;
use KeepPace\Core\Quantity\Amount;

/** A line of a purchase order as the supplier reads it: in the unit it was typed in. */
final readonly class PurchaseSheetLine
{
    /**
     * @param  string  $theirs  what the supplier calls it
     * @param  string  $quantity  in that unit
     * @param  string  $price  euros for one of that unit, at most four decimals
     */
    private function __construct(
        public int $position,
        public string $number,
        public string $name,
        public string $theirs,
        public string $quantity,
        public string $unit,
        public string $price,
        public int $cents,
        public string $expectedOn,
    ) {
    }

    public static function of(PurchaseLine $line, string $theirs): self
    {
        $price = new TypedPrice(BigDecimal::of($line->price), $line->ratio());

        return new self(
            $line->position,
            $line->item->shownNumber(),
            $line->name(),
            $theirs,
            Amount::plain((string) $line->asTyped($line->wanted())),
            $line->typedUnit->code ?? $line->item->unit->code,
            Amount::plain((string) $price->each()),
            $price->cents($line->wanted()),
            $line->asked_for ?? $line->expected_on,
        );
    }

    /** @return array<string, int|string> */
    public function asArray(): array
    {
        return [
            'line' => $this->position,
            'item' => $this->number,
            'name' => $this->name,
            'your_number' => $this->theirs,
            'quantity' => $this->quantity,
            'unit' => $this->unit,
            'price' => $this->price,
            'cents' => $this->cents,
            'wanted_on' => $this->expectedOn,
        ];
    }

    /** @param  array<mixed>  $kept  by asArray() */
    public static function kept(array $kept): self
    {
        $text = fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';
        $whole = fn (string $key): int => is_int($kept[$key] ?? null) ? $kept[$key] : 0;

        return new self(
            $whole('line'),
            $text('item'),
            $text('name'),
            $text('your_number'),
            $text('quantity'),
            $text('unit'),
            $text('price'),
            $whole('cents'),
            $text('wanted_on'),
        );
    }
}
