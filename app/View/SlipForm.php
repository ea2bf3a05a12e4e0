<?php

namespace App\View;

use App\Queries\Usage\SlipRow;
use App\Queries\Usage\SlipSplitRow;
use App\Wording\Figures;
use Illuminate\Support\ViewErrorBag;

/** The lines of a slip as a form: what was typed into it and refused stands before what is kept. */
final readonly class SlipForm
{
    private const FIELDS = ['quantity', 'splits', 'reason', 'item'];

    private ViewErrorBag $errors;

    public function __construct()
    {
        $errors = session('errors');
        $this->errors = $errors instanceof ViewErrorBag ? $errors : new ViewErrorBag;
    }

    /** A field of a line as errors and old input name it. */
    public function key(SlipRow $line, string $field): string
    {
        return "lines.{$line->id}.{$field}";
    }

    public function isWrong(SlipRow $line): bool
    {
        return array_filter(self::FIELDS, fn (string $field): bool => $this->isWrongIn($line, $field)) !== [];
    }

    public function isWrongIn(SlipRow $line, string $field): bool
    {
        return $this->errors->has($this->key($line, $field));
    }

    public function quantity(SlipRow $line): string
    {
        return Typed::before($this->key($line, 'quantity'), $line->typed);
    }

    public function isInUnit(SlipRow $line, string $unit): bool
    {
        return Typed::before($this->key($line, 'unit'), $line->typedUnit) === $unit;
    }

    /** @return list<array{code: string, quantity: string}>  lots and serials, and an empty one to be filled */
    public function splits(SlipRow $line): array
    {
        $kept = $line->splits->map(fn (SlipSplitRow $split): array => [
            'code' => $split->code,
            'quantity' => $split->typed,
        ]);
        $splits = [];
        foreach ((array) (old($this->key($line, 'splits')) ?? $kept->all()) as $split) {
            $code = (string) ($split['code'] ?? '');
            $quantity = (string) ($split['quantity'] ?? '');
            if ($code.$quantity !== '') {
                $splits[] = ['code' => $code, 'quantity' => Figures::amount($quantity)];
            }
        }

        return [...$splits, ['code' => '', 'quantity' => '']];
    }

    /** "Lot 2 of Stainless sheet for 218", for those who do not see where a field stands. */
    public function splitLabel(SlipRow $line, int $at): string
    {
        return ucfirst($this->labelOf($line, $at));
    }

    public function splitQuantityLabel(SlipRow $line, int $at): string
    {
        return "Of {$this->labelOf($line, $at)}";
    }

    private function labelOf(SlipRow $line, int $at): string
    {
        return "{$line->tracking->value} ".($at + 1)." of {$line->item} for {$line->order}";
    }
}
