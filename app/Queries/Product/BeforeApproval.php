<?php

namespace App\Queries\Product;

use App\Models\ItemRevision;
use App\Shop\ToApprove;

/** What stands between a draft and its approval, and what is asked with it. */
final readonly class BeforeApproval
{
    /**
     * @param  list<string>  $holes  what is missing
     * @param  bool  $asksWhetherItFits  whether what is made by it and by the one before fit each other
     * @param  array<int, string>  $parts  that it does not take any more and that can be used up first, by item
     * @param  array<int, string>  $orders  that are firm, by id: from which of them on they are made by it
     */
    private function __construct(
        public array $holes,
        public bool $asksWhetherItFits,
        public array $parts,
        public array $orders,
    ) {
    }

    public static function of(ItemRevision $draft): self
    {
        $numbers = ToApprove::firmOrders($draft);
        $orders = [];
        foreach ($numbers as $id => $number) {
            $after = count(array_filter(array_keys($numbers), fn (int $other): bool => $other > $id));
            $orders[$id] = $after === 0 ? "order {$number} is copied anew" : "from order {$number} on, "
                .($after + 1).' orders are copied anew';
        }

        return new self(
            $draft->isDraft() ? ToApprove::holes($draft) : [],
            ToApprove::asksWhetherItFits($draft),
            ToApprove::canBeUsedUp($draft),
            $orders,
        );
    }

    /** @return array<int|string, string> */
    public function startings(): array
    {
        return ['' => 'from a day on'] + $this->parts;
    }

    /** @return array<int|string, string> */
    public function copies(): array
    {
        return ['' => 'stay as they are'] + $this->orders;
    }
}
