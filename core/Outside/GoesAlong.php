<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

use Brick\Math\BigDecimal;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Parts of ours that go along for one of what a supplier makes of them, by number of the item. */
final readonly class GoesAlong
{
    /** @param  array<array-key, BigDecimal>  $each  stock units, above 0 */
    private function __construct(public array $each)
    {
    }

    /**
     * As it is typed and written: "TUBE-42:0.42 BOLT-8:2".
     *
     * @throws Refused beside the field when it is not written so
     */
    public static function read(string $typed): self
    {
        $each = $seen = [];
        foreach (preg_split('/[\s;|]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            if (preg_match('/^([^:]{1,40}):(\d{1,7}(?:\.\d{1,6})?)$/D', $one, $part) !== 1) {
                throw Refused::because("'{$one}' is not a part and how much of it, such as TUBE-42:0.42.", 'along');
            }
            $amount = BigDecimal::of($part[2]);
            if ($amount->isZero() || isset($seen[Code::keyOf($part[1])])) {
                throw Refused::because("'{$one}': each part goes along once, and some of it.", 'along');
            }
            $seen[Code::keyOf($part[1])] = true;
            $each[$part[1]] = $amount;
        }

        return new self($each);
    }

    /** "TUBE-42:0.42 BOLT-8:2" */
    public function written(): string
    {
        $parts = [];
        foreach ($this->each as $number => $amount) {
            $parts[] = "{$number}:".Amount::plain($amount);
        }

        return implode(' ', $parts);
    }
}
