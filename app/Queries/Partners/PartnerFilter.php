<?php

namespace App\Queries\Partners;

use Illuminate\Http\Request;

/** By what a list of customers or suppliers is narrowed. */
final readonly class PartnerFilter
{
    public const ONLY = ['' => 'dealt with', 'open' => 'with something open', 'retired' => 'retired'];

    private function __construct(public string $text, public string $only)
    {
    }

    public static function from(Request $request): self
    {
        $only = $request->string('only')->value();

        return new self(
            mb_substr($request->string('text')->trim()->value(), 0, 60),
            isset(self::ONLY[$only]) ? $only : '',
        );
    }

    /** Nothing narrows it. */
    public function isAny(): bool
    {
        return $this->text === '' && $this->only === '';
    }

    /** @return list<string> */
    public function words(): array
    {
        return preg_split('/\s+/', $this->text, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
