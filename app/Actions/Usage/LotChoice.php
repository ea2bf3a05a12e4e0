<?php

namespace App\Actions\Usage;

use App\Models\Item;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\Shelf;
use KeepPace\Core\Stock\Split;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Stock\Withdrawal;

/** Which lots what is used is taken from: those a person named, or by the item's rule. */
final readonly class LotChoice
{
    /** @param  string  $day  the use counts for: lots are looked at as they are then */
    public function __construct(private FreeStock $free, private string $day)
    {
    }

    /**
     * @return list<array{key: StockKey, quantity: BigDecimal}>  together the quantity
     *
     * @throws Refused
     */
    public function of(UseLine $line, Item $item, int $order, int $owner, BigDecimal $quantity): array
    {
        if ($line->splits !== [] && $item->isTracked()) {
            return $this->named($line, $item, $order, $owner, $quantity);
        }
        if ($item->isTracked() && self::rule($item) === LotRule::Ask) {
            Split::of($quantity, [])->decide($item->tracking->many(), $item->tracking === Tracking::Serial);
        }
        $shelf = $this->free->shelf($item, $owner);
        $shelf->assertEnough($order, $quantity);
        $lots = $this->byRule($shelf, $item, $order);
        $places = array_flip(array_values(array_filter(array_column($line->splits, 'place'))));
        $place = fn (LotThere $lot): int => $places[$lot->key->place] ?? 99;
        usort($lots, fn (LotThere $a, LotThere $b): int => $place($a) <=> $place($b)); // where it was picked, first

        return self::withdraw($item, $lots, $quantity);
    }

    /**
     * As much of what is wanted as there is, without a refusal; nothing where a person names the lot.
     *
     * @return list<array{key: StockKey, quantity: BigDecimal}>
     */
    public function asFarAsThere(Item $item, int $order, int $owner, BigDecimal $wanted): array
    {
        if ($item->isTracked() && self::rule($item) === LotRule::Ask) {
            return [];
        }
        $shelf = $this->free->shelf($item, $owner);

        return array_map(
            fn (array $part): array => ['key' => $part['lot']->key, 'quantity' => $part['quantity']],
            $shelf->suggest($order, $wanted, $this->byRule($shelf, $item, $order)),
        );
    }

    /**
     * @return list<array{key: StockKey, quantity: BigDecimal}>
     *
     * @throws Refused
     */
    private function named(UseLine $line, Item $item, int $order, int $owner, BigDecimal $quantity): array
    {
        $split = self::split($line, $item, $quantity);
        $split->decide($item->tracking->many(), $item->tracking === Tracking::Serial);
        $shelf = $this->free->shelf($item, $owner);
        $parts = [];
        foreach ($split->parts as $part) {
            $mine = $this->free->named($item, $shelf, $part['code'], $order, $owner, $part['quantity'], $this->day);
            array_push($parts, ...self::withdraw($item, $mine, $part['quantity']));
        }
        $shelf->assertEnough($order, $quantity);

        return $parts;
    }

    /** @throws Refused */
    private static function split(UseLine $line, Item $item, BigDecimal $quantity): Split
    {
        $amount = fn (string $typed): BigDecimal => $typed === ''
            ? BigDecimal::zero()
            : $item->quantity($typed)->amount;
        try {
            $parts = array_map(
                fn (array $part): array => [
                    'code' => trim($part['code']),
                    'place' => $part['place'],
                    'quantity' => $amount(trim($part['quantity'])),
                ],
                $line->splits,
            );
        } catch (QuantityRefused $refused) {
            throw Refused::because($refused->getMessage(), 'splits');
        }

        return Split::of($quantity, $parts);
    }

    /** @return list<LotThere> */
    private function byRule(Shelf $shelf, Item $item, int $order): array
    {
        return $shelf->inOrder($order, self::rule($item), $this->day, $item->minimum_days);
    }

    private static function rule(Item $item): LotRule
    {
        return LotRule::from($item->lot_rule);
    }

    /**
     * @param  list<LotThere>  $lots
     * @return list<array{key: StockKey, quantity: BigDecimal}>
     *
     * @throws StockRefused
     */
    private static function withdraw(Item $item, array $lots, BigDecimal $quantity): array
    {
        return Withdrawal::decide(
            $item->label(),
            array_map(fn (LotThere $lot): array => ['key' => $lot->key, 'quantity' => $lot->quantity], $lots),
            $quantity,
            BigDecimal::zero(),
        )->parts;
    }
}
