<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** A phantom where it is used: it is never kept, what it is made of and how come in its place. */
final readonly class PhantomUse
{
    /**
     * @param  int|null  $step  of what uses it; null = the first
     * @param  Takes  $takes  for a piece of the product
     * @param  self|null  $within  the phantom it is a part of; null = the product itself
     */
    public function __construct(
        public string $item,
        public ?int $step,
        public Takes $takes,
        public ?self $within = null,
    ) {
    }

    /** The step of the product it is used at; null = the first. */
    public function stepOfProduct(): ?int
    {
        return $this->within?->stepOfProduct() ?? $this->step;
    }

    /** @return list<string> phantoms from the outermost down to it */
    public function path(): array
    {
        return [...($this->within?->path() ?? []), $this->item];
    }
}
