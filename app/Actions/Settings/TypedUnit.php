<?php

namespace App\Actions\Settings;

/** A unit as it was typed. */
final readonly class TypedUnit
{
    /**
     * @param  int|null  $id  null = a new one
     * @param  int  $version  of what was seen
     * @param  string  $rec20  common code of UN/CEFACT Recommendation 20
     */
    public function __construct(
        public ?int $id,
        public int $version,
        public string $code,
        public string $name,
        public int $decimals,
        public string $rec20,
    ) {
    }

    /** @return array<string, int|string> by column */
    public function columns(): array
    {
        return ['name' => $this->name, 'decimals' => $this->decimals, 'rec20' => $this->rec20];
    }
}
