<?php

namespace App\Queries\Usage;

use App\Reading\Row;

/** A lot, or some of an item, to be taken from one place for one order. */
final readonly class PickRow
{
    /** @param  string  $typed  quantity */
    private function __construct(
        public int $id,
        public ?string $place,
        public string $item,
        public string $itemNumber,
        public string $code,
        public ?string $expiresOn,
        public string $typed,
        public string $unit,
        public int $orderId,
        public string $order,
        public int $step,
        public bool $isPicked,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->textOrNull('place'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('code'),
            $row->textOrNull('expires_on'),
            $row->text('typed'),
            $row->text('unit'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->int('step_number'),
            $row->flag('is_picked'),
        );
    }

    /** What is scanned when it is taken. */
    public function barcode(): string
    {
        return $this->code === '' ? $this->itemNumber : $this->code;
    }
}
