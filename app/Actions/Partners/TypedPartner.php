<?php

namespace App\Actions\Partners;

/** A customer or supplier as it was typed. */
abstract readonly class TypedPartner
{
    /** @param  list<TypedContact>  $contacts  the first is whom to ask for first */
    public function __construct(
        private string $name,
        private string $address,
        private string $terms,
        private string $note,
        public array $contacts,
    ) {
    }

    /** @return array<string, int|string|null> by column */
    public function columns(): array
    {
        return [
            'name' => $this->name,
            'address' => $this->address,
            'terms' => $this->terms,
            'note' => $this->note,
        ];
    }
}
