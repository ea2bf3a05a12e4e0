<?php

namespace App\Actions\Purchasing;

/** How a purchase order goes to its supplier. */
final readonly class TypedSending
{
    /**
     * @param  string|null  $to  mail address; null = on paper
     * @param  string  $words  of the mail, before the lines
     */
    public function __construct(public ?string $to, public string $words = '')
    {
    }
}
