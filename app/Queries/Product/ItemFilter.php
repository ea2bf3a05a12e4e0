<?php

namespace App\Queries\Product;

use Illuminate\Http\Request;
use KeepPace\Core\Structure\ItemKind;

/** By what the list of items is narrowed. */
final readonly class ItemFilter
{
    public const ONLY = [
        '' => 'in use',
        'draft' => 'with a draft',
        'short' => 'short',
        'unused' => 'unused',
        'running-out' => 'running out',
        'retired' => 'retired',
    ];

    public function __construct(
        public string $text = '',
        public string $kind = '',
        public string $category = '',
        public string $only = '',
    ) {
    }

    public static function from(Request $request): self
    {
        $text = fn (string $name): string => mb_substr($request->string($name)->trim()->value(), 0, 60);
        $only = $text('only');

        return new self(
            $text('text'),
            ItemKind::tryFrom($text('kind'))->value ?? '',
            $text('category'),
            isset(self::ONLY[$only]) ? $only : '',
        );
    }

    /** @return array<string, string> */
    public function kinds(): array
    {
        return ['' => 'any', ...array_combine(
            array_column(ItemKind::cases(), 'value'),
            array_map(fn (ItemKind $kind): string => $kind->label(), ItemKind::cases()),
        )];
    }

    /** Nothing narrows it. */
    public function isAny(): bool
    {
        return $this->query() === [];
    }

    /** @return array<string, string> what narrows it, for an address */
    public function query(): array
    {
        return array_filter(
            ['text' => $this->text, 'kind' => $this->kind, 'category' => $this->category, 'only' => $this->only],
            fn (string $value): bool => $value !== '',
        );
    }
}
