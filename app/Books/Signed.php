<?php

namespace App\Books;

use App\Models\Person;
use Illuminate\Support\Str;

/** Who signs a deed, and what is said with it: made by the request, handed to the deed, written with its booking. */
final readonly class Signed
{
    /**
     * @param  string  $token  makes the deed safe to send twice: the same one books once
     * @param  string|null  $bookedOn  the day it counts for; null = today
     * @param  string  $fingerprint  of what was typed under the token; '' where there was no form
     */
    public function __construct(
        public string $token,
        public Person $person,
        public string $reason = '',
        public ?string $bookedOn = null,
        public string $fingerprint = '',
    ) {
    }

    /** What a person does without a form to send. */
    public static function by(Person $person, string $reason = ''): self
    {
        return new self((string) Str::uuid(), $person, $reason);
    }

    public function because(string $reason): self
    {
        return new self($this->token, $this->person, $reason, $this->bookedOn, $this->fingerprint);
    }

    public function on(?string $day): self
    {
        return new self($this->token, $this->person, $this->reason, $day, $this->fingerprint);
    }
}
