<?php

namespace App\Shop;

/** Where an order stands among the open ones: by rank, then by date, then by number. */
final readonly class Standing
{
    /** @var array{int, string, int, int} compared place by place */
    public array $key;

    /**
     * @param  string  $due  "YYYY-MM-DD", or later than any
     * @param  int  $depth  what an order waits for stands before it
     */
    private function __construct(public int $rank, private string $due, private int $depth, private int $order)
    {
        $this->key = [$rank, $due, -$depth, $order];
    }

    /**
     * @param  bool  $isFirst  before all others
     */
    public static function own(OpenOrder $order, bool $isFirst): self
    {
        return new self($isFirst ? -1 : $order->rank, $order->dueOn ?? '9999-12-31', 0, $order->id);
    }

    /** Behind an order that waits for it. */
    public function isBehind(self $waiting): bool
    {
        return [$this->rank, $this->due, -$this->depth] > [$waiting->rank, $waiting->due, -$waiting->depth - 1]
            && $waiting->depth < 50; // a ring of orders that wait for each other ends here
    }

    public function before(self $waiting): self
    {
        return new self($waiting->rank, min($this->due, $waiting->due), $waiting->depth + 1, $this->order);
    }
}
