<?php

namespace App\Books;

use App\Reading\Row;

/** What one booking did to the own fields of one document. */
final readonly class RecordChange
{
    /** @param  array<string, array{int|string|null, int|string|null}>|null  $fields  before, after; null = made */
    private function __construct(public string $record, public int $id, private ?array $fields)
    {
    }

    public static function from(Row $row): self
    {
        $fields = $row->textOrNull('fields');
        /** @var array<string, array{int|string|null, int|string|null}>|null $read */
        $read = $fields === null ? null : json_decode($fields, true, flags: JSON_THROW_ON_ERROR);

        return new self($row->text('record'), $row->int('record_id'), $read);
    }

    public function isMade(): bool
    {
        return $this->fields === null;
    }

    public function was(string $field): bool
    {
        return isset($this->fields[$field]);
    }

    /** @return array<string, int|string|null> */
    public function before(): array
    {
        return array_map(fn (array $change): int|string|null => $change[0], $this->fields ?? []);
    }

    /**
     * Whether all of it is still as the booking left it.
     *
     * @param  array<string, int|string|null>  $now  columns as they are stored
     */
    public function stands(array $now): bool
    {
        foreach ($this->fields ?? [] as $field => [, $after]) {
            if ((string) ($now[$field] ?? '') !== (string) $after) {
                return false;
            }
        }

        return true;
    }
}
