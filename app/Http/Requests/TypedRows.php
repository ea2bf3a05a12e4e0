<?php

namespace App\Http\Requests;

use BackedEnum;
use Illuminate\Validation\ValidationException;
use KeepPace\Core\Refused;

/**
 * Rows of a form, read field by field, with a sentence beside each that is wrong. Not by rules of the validator: those
 * take seconds on a thousand rows.
 */
final class TypedRows
{
    /** @var array<string, string> a sentence by field */
    private array $wrong = [];

    /** @param  array<int, array<array-key, mixed>>  $rows */
    private function __construct(private readonly array $rows, private readonly string $list)
    {
    }

    /**
     * In the order in which they were sent, which is the order in which they stand.
     *
     * @param  array<array-key, mixed>  $sent
     * @param  list<string>  $fields  by which a row is told from an empty one
     */
    public static function of(array $sent, string $list, array $fields): self
    {
        $rows = array_map(fn (mixed $row): array => is_array($row) ? $row : [], array_values($sent));
        $isFilled = fn (array $row): bool => array_filter(
            $fields,
            fn (string $field): bool => is_string($row[$field] ?? null) && trim($row[$field]) !== '',
        ) !== [];

        return new self(array_filter($rows, $isFilled), $list);
    }

    /** @return list<int> */
    public function places(): array
    {
        return array_keys($this->rows);
    }

    public function text(int $at, string $field, int $most): string
    {
        $typed = trim($this->typed($at, $field));
        if (mb_strlen($typed) > $most) {
            $this->wrong($at, $field, "Too long: at most {$most} characters.");
        }

        return $typed;
    }

    /** What must be filled. */
    public function words(int $at, string $field, int $most): string
    {
        $typed = $this->text($at, $field, $most);
        $typed !== '' ?: $this->wrong($at, $field, 'Must be filled.');

        return $typed;
    }

    /** @param  string|null  $else  where nothing is typed; null = it must be */
    public function number(int $at, string $field, PlainNumber $rule, ?string $else = null): string
    {
        $typed = trim($this->typed($at, $field));
        if ($typed === '' && $else !== null) {
            return $else;
        }
        $says = $rule->says($typed);
        $says === null ?: $this->wrong($at, $field, $says);

        return $typed;
    }

    /** A day; null where none is typed. */
    public function day(int $at, string $field, PlainDay $rule): ?string
    {
        $typed = trim($this->typed($at, $field));
        try {
            return $typed === '' ? null : $rule->read($typed);
        } catch (Refused $refused) {
            $this->wrong($at, $field, $refused->getMessage());

            return null;
        }
    }

    /** A whole number; null where nothing is typed. */
    public function whole(int $at, string $field, int $least, int $most): ?int
    {
        $typed = trim($this->typed($at, $field));
        if ($typed === '') {
            return null;
        }
        if (preg_match('/^\d{1,9}$/D', $typed) !== 1 || (int) $typed < $least || (int) $typed > $most) {
            $this->wrong($at, $field, "Type a whole number from {$least} to {$most}.");

            return null;
        }

        return (int) $typed;
    }

    /**
     * @template E of BackedEnum
     *
     * @param  E  $else  where nothing is chosen
     * @return E
     */
    public function choice(int $at, string $field, BackedEnum $else): BackedEnum
    {
        $typed = $this->typed($at, $field);
        $found = $typed === '' ? $else : $else::tryFrom($typed);
        if ($found === null) {
            $this->wrong($at, $field, 'Choose one of those offered.');
        }

        return $found ?? $else;
    }

    public function wrong(int $at, string $field, string $says): void
    {
        $this->wrong["{$this->list}.{$at}.{$field}"] ??= $says;
    }

    /** @throws ValidationException with all that is wrong */
    public function assertRight(): void
    {
        if ($this->wrong !== []) {
            throw ValidationException::withMessages($this->wrong);
        }
    }

    private function typed(int $at, string $field): string
    {
        $value = $this->rows[$at][$field] ?? '';

        return is_string($value) ? $value : '';
    }
}
