<?php

namespace App\Actions\Partners;

use App\Models\Contact;
use App\Models\ContactWay;

/** Whom to ask for, as it was typed. */
final readonly class TypedContact
{
    /**
     * @param  list<string>  $phones
     * @param  list<string>  $mails
     */
    public function __construct(
        public string $name,
        public string $askedAbout = '',
        public array $phones = [],
        public array $mails = [],
    ) {
    }

    public static function of(Contact $contact): self
    {
        return new self(
            $contact->name,
            $contact->asked_about,
            $contact->at(ContactWay::PHONE),
            $contact->at(ContactWay::MAIL),
        );
    }

    /** "Bo Marsh, accounts, 01 555 0101, bo@foundry.example" */
    public function says(): string
    {
        $parts = [$this->name, $this->askedAbout, ...$this->phones, ...$this->mails];

        return implode(', ', array_filter($parts, fn (string $part): bool => $part !== ''));
    }
}
