<?php

namespace App\Shop;

use App\Reading\Row;

/**
 * The deed by which a lever becomes a fact at one click, where it is ours to decide.
 *
 * @phpstan-type Kept array{label: string, right: string, method: string, to: string, id: int,
 *     fields: array<string, int|string>}
 */
final readonly class LeverDeed
{
    /**
     * @param  string  $label  of its button
     * @param  string  $right  to be asked
     * @param  string  $to  name of the route
     * @param  array<string, int|string>  $fields  sent with it
     */
    public function __construct(
        public string $label,
        public string $right,
        public string $method,
        public string $to,
        public int $id,
        public array $fields,
    ) {
    }

    public function address(): string
    {
        return $this->id === 0 ? route($this->to) : route($this->to, $this->id);
    }

    /** @return Kept  as it is kept beside its lever */
    public function kept(): array
    {
        return [
            'label' => $this->label,
            'right' => $this->right,
            'method' => $this->method,
            'to' => $this->to,
            'id' => $this->id,
            'fields' => $this->fields,
        ];
    }

    public static function from(Row $kept): self
    {
        /** @var array<string, int|string> $fields */
        $fields = $kept->list('fields');

        return new self(
            $kept->text('label'),
            $kept->text('right'),
            $kept->text('method'),
            $kept->text('to'),
            $kept->int('id'),
            $fields,
        );
    }
}
