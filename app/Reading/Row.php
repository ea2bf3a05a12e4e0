<?php

namespace App\Reading;

use BackedEnum;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;

/**
 * One row of a query, read by name and type. A column that was not asked for, or is empty where it must not be, is an
 * error at once and not a wrong figure on a page.
 */
final readonly class Row
{
    /** So many exact figures are remembered. */
    private const KNOWN = 4096;

    private function __construct(private \stdClass $columns)
    {
    }

    /**
     * @template T of object
     *
     * @param  callable(self): T  $from  such as StationJob::from(...)
     * @return Collection<int, T>
     */
    public static function all(Builder $query, callable $from): Collection
    {
        return $query->get()->map(fn (\stdClass $columns): object => $from(new self($columns)));
    }

    /**
     * @template T of object
     *
     * @param  callable(self): T  $from
     * @return T|null
     */
    public static function first(Builder $query, callable $from): ?object
    {
        return self::all($query->limit(1), $from)->first();
    }

    /**
     * Each of a list that is kept as JSON.
     *
     * @template T of object
     *
     * @param  callable(self): T  $from
     * @return list<T>
     */
    public static function each(string $json, callable $from): array
    {
        $list = json_decode($json, flags: JSON_THROW_ON_ERROR);
        $kept = array_filter(is_array($list) ? $list : [], fn (mixed $one): bool => $one instanceof \stdClass);

        return array_values(array_map(fn (\stdClass $one): object => $from(new self($one)), $kept));
    }

    /** What stands as a part in one that is kept as JSON; null where it is empty. */
    public function part(string $name): ?self
    {
        $part = $this->columns->{$name} ?? null;

        return $part instanceof \stdClass ? new self($part) : null;
    }

    /** Whether one that is kept as JSON says anything of it. */
    public function has(string $name): bool
    {
        return isset($this->columns->{$name});
    }

    /** Of one that is kept as JSON, where it may be left out. */
    public function intOr(string $name, int $else): int
    {
        return $this->has($name) ? $this->int($name) : $else;
    }

    /** Of one that is kept as JSON, where it may be left out. */
    public function textOr(string $name, string $else): string
    {
        return $this->has($name) ? $this->text($name) : $else;
    }

    /** @return array<mixed>  a list, or values by name, in one that is kept as JSON; empty where it is left out */
    public function list(string $name): array
    {
        $list = $this->columns->{$name} ?? [];

        return is_array($list) || $list instanceof \stdClass ? (array) $list : [];
    }

    /** All of a column, added up; of no rows zero. */
    public static function sum(Builder $query, string $column): BigDecimal
    {
        $sum = $query->sum($column);

        return BigDecimal::of(is_numeric($sum) ? (string) $sum : '0');
    }

    /**
     * A column of whole numbers, such as ids; those that are empty are passed by.
     *
     * @return list<int>
     */
    public static function ints(Builder $query, string $column): array
    {
        return array_values(array_map(
            intval(...),
            array_filter($query->pluck($column)->all(), is_numeric(...)),
        ));
    }

    /**
     * A column of texts; those that are empty are passed by.
     *
     * @return list<string>
     */
    public static function texts(Builder $query, string $column): array
    {
        return array_values(array_filter($query->pluck($column)->all(), is_string(...)));
    }

    /**
     * Whole numbers by the column of another, such as a count by order.
     *
     * @return array<int, int>
     */
    public static function intsBy(Builder $query, string $column, string $by): array
    {
        return array_map(intval(...), array_filter(self::by($query, $column, $by), is_numeric(...)));
    }

    /**
     * Texts by a column of whole numbers; those that are empty are passed by.
     *
     * @return array<int, string>
     */
    public static function textsBy(Builder $query, string $column, string $by): array
    {
        return array_filter(self::by($query, $column, $by), is_string(...));
    }

    /** @return array<int, mixed> */
    private static function by(Builder $query, string $column, string $by): array
    {
        return array_filter($query->pluck($column, $by)->all(), is_int(...), ARRAY_FILTER_USE_KEY);
    }

    /** A text of the first row; null where there is none, or it is empty. */
    public static function firstText(Builder $query, string $column): ?string
    {
        $value = $query->value($column);

        return is_string($value) ? $value : null;
    }

    public function int(string $name): int
    {
        return (int) $this->there($name);
    }

    public function intOrNull(string $name): ?int
    {
        $value = $this->value($name);

        return $value === null ? null : (int) $value;
    }

    public function text(string $name): string
    {
        return (string) $this->there($name);
    }

    public function textOrNull(string $name): ?string
    {
        $value = $this->value($name);

        return $value === null ? null : (string) $value;
    }

    public function flag(string $name): bool
    {
        return (bool) $this->there($name);
    }

    public function decimal(string $name): BigDecimal
    {
        return self::exact((string) $this->there($name));
    }

    public function decimalOrNull(string $name): ?BigDecimal
    {
        $value = $this->value($name);

        return $value === null ? null : self::exact((string) $value);
    }

    public function decimalOrZero(string $name): BigDecimal
    {
        return self::exact((string) ($this->value($name) ?? '0'));
    }

    /** Most quantities of a list are some few: each is read once, and one object wherever it stands. */
    private static function exact(string $text): BigDecimal
    {
        /** @var array<BigDecimal> $known */
        static $known = [];
        if (count($known) > self::KNOWN) {
            $known = [];
        }

        return $known[$text] ??= BigDecimal::of($text);
    }

    /** A time, stored in UTC. */
    public function moment(string $name): CarbonImmutable
    {
        return CarbonImmutable::parse((string) $this->there($name), 'UTC');
    }

    /** A time, stored in UTC. */
    public function momentOrNull(string $name): ?CarbonImmutable
    {
        $value = $this->value($name);

        return $value === null ? null : CarbonImmutable::parse((string) $value, 'UTC');
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return E
     */
    public function enum(string $name, string $enum): BackedEnum
    {
        return $enum::from($this->text($name));
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return E|null
     */
    public function enumOrNull(string $name, string $enum): ?BackedEnum
    {
        return $this->value($name) === null ? null : $this->enum($name, $enum);
    }

    private function there(string $name): int|float|string|bool
    {
        return $this->value($name) ?? throw new \LogicException("The column {$name} is empty.");
    }

    private function value(string $name): int|float|string|bool|null
    {
        property_exists($this->columns, $name) || throw new \LogicException("The query has no column {$name}.");
        $value = $this->columns->{$name};

        return $value === null || is_scalar($value)
            ? $value
            : throw new \LogicException("The column {$name} is no value.");
    }
}
