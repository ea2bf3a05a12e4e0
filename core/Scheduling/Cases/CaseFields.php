<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Cases;

use Brick\Math\BigDecimal;
use KeepPace\Core\Refused;

/** One object of a case, read field by field; what is not as it should be is named with where it stands. */
final readonly class CaseFields
{
    /** A thousand years in minutes, more pieces than anybody makes. */
    private const MOST = 1_000_000_000;

    /** @param  array<mixed>  $fields */
    public function __construct(private array $fields, public string $where)
    {
    }

    public function has(string $key): bool
    {
        return isset($this->fields[$key]);
    }

    /** @return list<self> */
    public function list(string $key, string $each): array
    {
        $list = $this->fields[$key] ?? null;
        if (! is_array($list) || array_filter($list, is_array(...)) !== $list) {
            throw $this->wrong("{$key} must be a list.");
        }

        return array_map(fn (array $one): self => new self($one, $each), array_values($list));
    }

    /** @return list<self> none where the field is not there */
    public function listOrNone(string $key, string $each): array
    {
        return $this->has($key) ? $this->list($key, $each) : [];
    }

    public function of(string $key): self
    {
        $one = $this->fields[$key] ?? null;

        return is_array($one) ? new self($one, $this->where) : throw $this->wrong("{$key} must be an object.");
    }

    /** The same, named by what it is. */
    public function named(string $where): self
    {
        return new self($this->fields, $where);
    }

    public function text(string $key): string
    {
        $text = $this->fields[$key] ?? null;

        return is_string($text) && $text !== '' ? $text : throw $this->wrong("{$key} must be a text.");
    }

    public function textOrNull(string $key): ?string
    {
        return $this->has($key) ? $this->text($key) : null;
    }

    public function flag(string $key): bool
    {
        return ($this->fields[$key] ?? false) === true;
    }

    public function number(string $key, int $most = self::MOST): int
    {
        $number = $this->fields[$key] ?? null;

        return is_int($number) && $number >= 0 && $number <= $most
            ? $number
            : throw $this->wrong("{$key} must be a whole number from 0 to {$most}.");
    }

    public function numberOr(string $key, int $else): int
    {
        return $this->has($key) ? $this->number($key) : $else;
    }

    public function decimal(string $key): BigDecimal
    {
        $number = $this->fields[$key] ?? null;

        return (is_int($number) || is_float($number)) && $number >= 0 && $number <= self::MOST
            ? BigDecimal::of($number)
            : throw $this->wrong("{$key} must be a number from 0 to ".self::MOST.'.');
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        $texts = $this->fields[$key] ?? [];

        return is_array($texts) && array_filter($texts, is_string(...)) === $texts
            ? array_values($texts)
            : throw $this->wrong("{$key} must be a list of texts.");
    }

    /** @return array<mixed> as it stands there */
    public function raw(string $key): array
    {
        $raw = $this->fields[$key] ?? [];

        return is_array($raw) ? $raw : throw $this->wrong("{$key} must be a list.");
    }

    public function wrong(string $what): Refused
    {
        return Refused::because("{$this->where}: {$what}");
    }
}
