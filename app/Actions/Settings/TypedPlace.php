<?php

namespace App\Actions\Settings;

/** A place of the stores as it was typed. */
final readonly class TypedPlace
{
    /**
     * @param  int|null  $id  null = a new one
     * @param  int  $version  of what was seen
     */
    public function __construct(
        public ?int $id,
        public int $version,
        public string $code,
        public string $name,
        public bool $isRetired,
    ) {
    }
}
