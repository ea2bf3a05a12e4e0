<?php

namespace App\Actions\Partners;

/** A customer as it was typed. */
final readonly class TypedCustomer extends TypedPartner
{
    /**
     * @param  list<TypedContact>  $contacts
     * @param  string  $shipTo  '' = to the address
     * @param  string  $priceLevel  '' = none
     * @param  int|null  $finishDays  working days between finished and shipped; null = as the shop has it
     */
    public function __construct(
        string $name,
        string $address,
        string $terms,
        string $note,
        array $contacts,
        private string $shipTo,
        private ?int $finishDays,
        private bool $isWholeOnly,
        private string $priceLevel = '',
    ) {
        parent::__construct($name, $address, $terms, $note, $contacts);
    }

    public function columns(): array
    {
        return [
            ...parent::columns(),
            'ship_to' => $this->shipTo,
            'finish_days' => $this->finishDays,
            'is_whole_only' => (int) $this->isWholeOnly,
            'price_level' => $this->priceLevel,
        ];
    }
}
