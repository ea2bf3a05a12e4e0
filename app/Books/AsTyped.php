<?php

namespace App\Books;

/** What a person typed for a move: the quantity in the unit it was typed in, and why. */
final readonly class AsTyped
{
    /**
     * @param  string|null  $quantity  null = it was not typed
     * @param  int|null  $unit  of it
     */
    public function __construct(
        private ?string $quantity = null,
        private ?int $unit = null,
        private string $reason = '',
    ) {
    }

    /** @return array<string, int|string|null> */
    public function columns(): array
    {
        return [
            'typed_quantity' => $this->quantity,
            'typed_unit_id' => $this->quantity === null ? null : $this->unit,
            'reason' => mb_strimwidth($this->reason, 0, 200, '…'),
        ];
    }
}
