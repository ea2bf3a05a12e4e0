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
        private string $goesTo,
        private string $contact,
        private string $terms,
        public string $note,
        public int $customerId,
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
            $row->text('goes_to'),
            $row->textOrNull('contact') ?? '',
            $row->text('terms'),
            $row->text('note'),
            $row->int('customer_id'),
        );
    }

    /** "PO 4711 · ordered Thu · Quay 4, Harbour · A. Person · 30 days" */
    public function says(): string
    {
        $said = [
            $this->reference,
            'ordered '.When::day($this->orderedOn),
            $this->goesTo,
            $this->contact,
            $this->terms,
        ];

        return implode(' · ', array_filter($said, fn (string $one): bool => $one !== ''));
    }
}
