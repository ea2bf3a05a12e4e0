<?php

declare(strict_types=1);

namespace KeepPace\Core;

/** A refusal with one sentence for each thing that is wrong, all of them at once. */
class Refused extends \DomainException implements Refusal
{
    /**
     * @param  non-empty-array<array-key, string>  $reasons a string key names the form field the sentence belongs
     *     beside
     */
    final public function __construct(public readonly array $reasons)
    {
        parent::__construct(implode(' ', $reasons));
    }

    /** The form field the first sentence belongs beside; null = none. */
    public function field(): ?string
    {
        $field = array_key_first($this->reasons);

        return is_string($field) ? $field : null;
    }

    /** The same, beside a form field. */
    public function beside(string $field): static
    {
        return new static([$field => $this->getMessage()]);
    }

    /** @param  string|null  $field the form field the sentence belongs beside, where there is one */
    public static function because(string $sentence, ?string $field = null): static
    {
        return new static($field === null ? [$sentence] : [$field => $sentence]);
    }
}
