<?php

namespace App\Actions\Product;

use App\Models\Item;
use App\Models\ItemRevision;
use App\Shop\MadeOf;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\ShareRule;
use KeepPace\Core\Structure\StructureRefused;

/** The rows of a structure that lines come to as they were typed, judged line by line and together. */
final class StructureRows
{
    /**
     * @param  list<array<string, mixed>>  $have  as they stand
     * @return list<array<string, mixed>> as they are to be
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public static function of(ItemRevision $draft, TypedStructure $typed, array $have): array
    {
        $items = self::items($typed);
        $known = array_column($have, 'position', 'id');
        $lines = [];
        foreach ($typed->lines as $at => $line) {
            $lines["lines.{$at}"] = $line;
        }
        foreach ($typed->back as $at => $line) {
            $lines["back.{$at}"] = $line;
        }
        $rows = self::each($draft, $lines, $items, $known);
        self::assertTogether($typed->back, $items);
        $wrong = self::loop($draft, $typed->lines, $items);

        return $wrong === [] ? self::positioned(array_values($rows), $known) : throw new Refused($wrong);
    }

    /**
     * Each line by itself.
     *
     * @param  array<string, TypedLine|TypedBack>  $lines  by the name of its row in the form
     * @param  Collection<string, Item>  $items
     * @param  array<int, int>  $free  position by id
     * @return array<string, array<string, mixed>>
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    private static function each(ItemRevision $draft, array $lines, Collection $items, array $free): array
    {
        $rows = $wrong = [];
        foreach ($lines as $at => $line) {
            $item = $items[Code::keyOf($line->component)] ?? null;
            $says = self::wrong($draft, $line, $item);
            foreach ($says as $field => $sentence) {
                $wrong["{$at}.{$field}"] = $sentence;
            }
            if ($item !== null && $says === []) {
                $row = $line instanceof TypedLine ? self::row($line, $item) : self::backRow($line, $item);
                $rows[$at] = ['id' => self::free($line->id, $free), ...$row];
                unset($free[$line->id ?? 0]); // a line stands once
            }
        }

        return $wrong === [] ? $rows : throw new Refused($wrong);
    }

    /** @return Collection<string, Item> by key */
    private static function items(TypedStructure $typed): Collection
    {
        $numbers = array_map(
            fn (TypedLine|TypedBack $line): string => Code::keyOf($line->component),
            [...$typed->lines, ...$typed->back],
        );

        return Item::query()
            ->with(['unit', 'units.unit'])
            ->whereIn('number_key', $numbers)
            ->get()
            ->keyBy(fn (Item $item): string => Code::keyOf($item->number));
    }

    /**
     * @param  array<int, TypedBack>  $back
     * @param  Collection<string, Item>  $items
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    private static function assertTogether(array $back, Collection $items): void
    {
        $lines = array_map(fn (TypedBack $line): ComesBack => new ComesBack(
            '',
            $items[Code::keyOf($line->component)]->number,
            $line->kind,
            BigRational::of($line->quantity),
            $line->basis,
            $line->rule,
            BigDecimal::of($line->share ?? '0'),
        ), $back);
        $wrong = [];
        foreach (ComesBack::wrong($lines) as $at => [$field, $sentence]) {
            $wrong["back.{$at}.{$field}"] = $sentence;
        }
        foreach ($back as $at => $line) {
            if ($line->rule === ShareRule::Percent && $line->share === null) {
                $wrong["back.{$at}.share"] = 'Type how many per cent of the cost it takes.';
            }
        }

        if ($wrong !== []) {
            throw new Refused($wrong);
        }
    }

    /** @return array<string, string> a sentence by field */
    private static function wrong(ItemRevision $draft, TypedLine|TypedBack $line, ?Item $item): array
    {
        $says = match (true) {
            $item === null => "No item has the number {$line->component}. Type part of its name to find it.",
            $item->id === $draft->item_id => "{$item->number} cannot be part of itself.",
            $item->retired_at !== null => "{$item->label()} is retired. Take another item, or bring it back.",
            $line instanceof TypedBack && ! $item->kind->hasStock() => "{$item->label()} is {$item->kind->label()}: it "
                .'cannot come into stock.',
            default => null,
        };
        if ($item === null || $says !== null) {
            return ['component' => (string) $says];
        }
        try {
            $line->unit === '' ?: $item->conversion($item->unitCode($line->unit));
        } catch (QuantityRefused $refused) {
            return ['unit' => $refused->getMessage()];
        }

        return [];
    }

    /**
     * The line it was, if that stands and no other line of the form is it.
     *
     * @param  array<int, int>  $free  position by id
     */
    private static function free(?int $id, array $free): ?int
    {
        return $id !== null && isset($free[$id]) ? $id : null;
    }

    /** @return array<string, mixed> */
    private static function row(TypedLine $line, Item $item): array
    {
        return [
            ...self::counted($line, $item),
            'scrap_percent' => $line->scrap,
            'step_number' => $line->step,
            'designators' => $line->designators,
            'issue_by' => $line->issueBy->value,
            'supplied_by' => $line->suppliedBy,
            'gives' => null,
            'share_rule' => null,
            'share' => null,
        ];
    }

    /** @return array<string, mixed> */
    private static function backRow(TypedBack $line, Item $item): array
    {
        return [
            ...self::counted($line, $item),
            'scrap_percent' => '0',
            'step_number' => null,
            'designators' => '',
            'issue_by' => IssueBy::Hand->value,
            'supplied_by' => 'us',
            'gives' => $line->kind->value,
            'share_rule' => $line->rule->value,
            'share' => $line->share,
        ];
    }

    /** @return array<string, mixed> */
    private static function counted(TypedLine|TypedBack $line, Item $item): array
    {
        return [
            'item_id' => $item->id,
            'quantity' => $line->quantity,
            'unit_id' => $item->unitId($item->unitCode($line->unit)),
            'basis' => $line->basis->value,
        ];
    }

    /**
     * Lines keep their positions as long as these rise; what is new stands between or behind them, and where there is
     * no room all are counted anew.
     *
     * @param  list<array<string, mixed>>  $rows
     * @param  array<int, int>  $known  position by id
     * @return list<array<string, mixed>>
     */
    private static function positioned(array $rows, array $known): array
    {
        $old = array_map(fn (array $row): ?int => $row['id'] === null ? null : $known[$row['id']], $rows);
        $rows = array_map(fn (array $row): array => array_filter(
            $row,
            fn (mixed $value, string $column): bool => $column !== 'id' || $value !== null,
            ARRAY_FILTER_USE_BOTH,
        ), $rows);

        return array_map(
            fn (array $row, int $position): array => ['position' => $position, ...$row],
            $rows,
            self::positions($old),
        );
    }

    /**
     * @param  list<int|null>  $old
     * @return list<int>
     */
    private static function positions(array $old): array
    {
        $kept = array_values(array_filter($old, is_int(...)));
        $sorted = $kept;
        sort($sorted);
        $positions = [];
        $last = 0;
        foreach ($old as $at => $is) {
            $next = array_values(array_filter(array_slice($old, $at), is_int(...)))[0] ?? null;
            $new = $next === null ? intdiv($last, 10) * 10 + 10 : min($last + 10, intdiv($last + $next, 2));
            $positions[] = $last = $is ?? $new;
        }
        $rises = $kept === $sorted && $positions === array_values(array_unique($positions));
        $sorted = $positions;
        sort($sorted);

        return $rises && $sorted === $positions
            ? $positions
            : array_map(fn (int $at): int => ($at + 1) * 10, array_keys($old));
    }

    /**
     * @param  array<int, TypedLine>  $lines
     * @param  Collection<string, Item>  $items
     * @return array<string, string> the loop named at the line that closes it
     */
    private static function loop(ItemRevision $draft, array $lines, Collection $items): array
    {
        $number = fn (TypedLine $line): string => $items[Code::keyOf($line->component)]->number;
        $below = MadeOf::below(array_values($items->pluck('id')->map(intval(...))->all()))->structures();
        $loops = function (TypedLine ...$of) use ($below, $draft, $number): ?string {
            $direct = array_map(fn (TypedLine $line): Line => Line::one($number($line)), array_values($of));
            try {
                $below->with($draft->item->number, $direct)->levelOrder($draft->item->number);
            } catch (StructureRefused $loop) {
                return $loop->getMessage();
            }

            return null;
        };
        if ($loops(...$lines) === null) {
            return [];
        }
        $says = array_filter(array_map(fn (TypedLine $line): ?string => $loops($line), $lines), is_string(...));

        return array_combine(array_map(fn (int $at): string => "lines.{$at}.component", array_keys($says)), $says);
    }
}
