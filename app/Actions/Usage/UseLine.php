<?php

namespace App\Actions\Usage;

use App\Models\OrderComponent;

/** One line of what is to be used: how much of which item for which component of which order, as typed. */
final readonly class UseLine
{
    /**
     * @param  string  $key  of the line on the form, for the sentence beside it
     * @param  int|null  $component  null = not planned
     * @param  int  $item  another than the component's is a substitute
     * @param  string|null  $unit  null = the stock unit
     * @param  list<array{code: string, place: ?int, quantity: string}>  $splits  lots or serials; none = by the item's
     *     rule
     */
    public function __construct(
        public string $key,
        public int $order,
        public ?int $component,
        public int $item,
        public int $step,
        public string $quantity,
        public ?string $unit = null,
        public array $splits = [],
        public string $reason = '',
    ) {
    }

    /** @param  array<string, string>  $lots quantity by code */
    public static function planned(
        OrderComponent $component,
        string $quantity,
        array $lots = [],
        string $reason = '',
    ): self {
        return new self(
            (string) $component->id,
            $component->order_id,
            $component->id,
            $component->item_id,
            $component->step_number,
            $quantity,
            null,
            array_map(
                fn (string $code, string $of): array => ['code' => $code, 'place' => null, 'quantity' => $of],
                array_keys($lots),
                $lots,
            ),
            $reason,
        );
    }
}
