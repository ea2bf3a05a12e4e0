<?php

namespace App\Queries\Product;

/** A line or step of two revisions, side by side. */
final readonly class BesideRow
{
    /**
     * @param  array<string, string>|null  $before  values by field; null = it was not there
     * @param  array<string, string>|null  $after  null = it is not there any more
     */
    public function __construct(public string $name, public ?array $before, public ?array $after)
    {
    }

    public function isNew(): bool
    {
        return $this->before === null;
    }

    public function isGone(): bool
    {
        return $this->after === null;
    }

    public function isSame(): bool
    {
        return $this->changed() === [] && ! $this->isNew() && ! $this->isGone();
    }

    /** @return array<string, array{string, string}> before and after, by field that differs */
    public function changed(): array
    {
        $changed = [];
        foreach ($this->before === null || $this->after === null ? [] : $this->before as $field => $was) {
            $is = $this->after[$field] ?? '';
            if ($was !== $is) {
                $changed[$field] = [$was === '' ? 'nothing' : $was, $is === '' ? 'nothing' : $is];
            }
        }

        return $changed;
    }

    /** @return array<string, string> what stands there now, or stood */
    public function values(): array
    {
        return array_filter(
            $this->after ?? $this->before ?? [],
            fn (string $value): bool => ! in_array($value, ['', '0'], true),
        );
    }
}
