<?php

namespace App\Actions\Stock;

use App\Models\Move;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;

/** What came in by one move, or a part of it; or work that came back, with which no goods move. */
final readonly class Received
{
    private function __construct(public ?Move $move, public ?PurchaseLine $work, public BigDecimal $quantity)
    {
    }

    public static function goods(Move $move, BigDecimal $quantity): self
    {
        return new self($move, null, $quantity);
    }

    public static function work(PurchaseLine $line, BigDecimal $pieces): self
    {
        return new self(null, $line, $pieces);
    }

    public function itemId(): int
    {
        return $this->move->item_id ?? $this->work->item_id ?? throw new \LogicException('It is one or the other.');
    }

    public function lotId(): int
    {
        return $this->move->lot_id ?? 0;
    }

    /** What came on one line is one. */
    public function group(): string
    {
        return $this->itemId().'-'.($this->move->purchase_line_id ?? $this->work->id ?? '');
    }
}
