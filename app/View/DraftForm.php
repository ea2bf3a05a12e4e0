<?php

namespace App\View;

use Illuminate\Support\ViewErrorBag;

/** The rows of a draft as a form: what was typed and refused stands before what is kept; empty ones follow. */
final readonly class DraftForm
{
    /**
     * @param  array<int, array<string, string>>  $rows  values by field
     * @param  array<string, array<array-key, mixed>>  $choices  what is offered, by field
     * @param  string  $list  what the rows are called in the form
     * @param  array<string, string>  $help  what each field is for, by what it is called
     */
    private function __construct(
        public array $rows,
        public array $choices,
        private string $list,
        private ViewErrorBag $errors,
        public array $help,
    ) {
    }

    /**
     * @param  iterable<array<string, string>>  $kept
     * @param  array<string, string>  $empty  what a new row begins with
     * @param  array<string, array<array-key, mixed>>  $choices
     * @param  array<string, string>  $help  what each field is for, by what it is called
     */
    public static function of(
        iterable $kept,
        array $empty,
        array $choices = [],
        int $more = 3,
        string $list = 'lines',
        array $help = [],
    ): self {
        $errors = session('errors');
        $typed = old($list);
        $rows = [];
        foreach (is_array($typed) ? array_values($typed) : $kept as $row) {
            $texts = array_filter(is_array($row) ? $row : [], is_string(...));
            $rows[] = [...$empty, ...array_map(strval(...), $texts)];
        }
        if (! is_array($typed)) {
            array_push($rows, ...array_fill(0, $more, $empty));
        }

        $wrong = $errors instanceof ViewErrorBag ? $errors : new ViewErrorBag;

        return new self($rows, $choices, $list, $wrong, $help);
    }

    public function name(int $at, string $field): string
    {
        return "{$this->list}[{$at}][{$field}]";
    }

    public function key(int $at, string $field): string
    {
        return "{$this->list}.{$at}.{$field}";
    }

    /** What stands in a field of a row. */
    public function value(int $at, string $field): string
    {
        return $this->rows[$at][$field] ?? '';
    }

    public function isWrong(int $at, string $field): bool
    {
        return $this->errors->has($this->key($at, $field));
    }

    /** Something of what is seldom needed ("more") is wrong in a row: then it is open. */
    public function isMoreWrong(int $at): bool
    {
        return array_filter($this->seldom(), fn (string $field): bool => $this->isWrong($at, $field)) !== [];
    }

    /** "sheet 2 mm, punch 40": what of the seldom needed is filled in a row. */
    public function more(int $at): string
    {
        $row = array_intersect_key($this->rows[$at], array_flip($this->seldom()));

        return implode(', ', array_filter($row, fn (string $typed): bool => ! in_array($typed, ['', '0', '1'], true)));
    }

    /** @return list<string> fields */
    private function seldom(): array
    {
        return array_map(strval(...), array_keys($this->choices['more'] ?? []));
    }
}
