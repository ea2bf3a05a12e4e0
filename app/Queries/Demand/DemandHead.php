<?php

namespace App\Queries\Demand;

use App\Reading\Row;
use App\Wording\When;

/** The head of a customer order. */
final readonly class DemandHead
{
    private function __construct(
        public int $id,
        public string $number,
        public int $version,
        public string $customer,
        private string $reference,
        private string $orderedOn,
        private string $shipTo,
        private string $address,
        private string $contact,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->int('version'),
            $row->text('customer'),
            $row->text('reference'),
            $row->text('ordered_on'),
            $row->textOrNull('ship_to') ?? '',
            $row->text('address'),
            $row->text('contact'),
        );
    }

    /** "PO 4711 · ordered Thu · Quay 4, Harbour · A. Person" */
    public function says(): string
    {
        return implode(' · ', [
            $this->reference,
            'ordered '.When::day($this->orderedOn),
            $this->shipTo === '' ? $this->address : $this->shipTo,
            ...($this->contact === '' ? [] : [$this->contact]),
        ]);
    }
}
