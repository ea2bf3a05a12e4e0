<?php

namespace App\Actions\Product;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\ItemRevision;
use App\Models\RevisionKind;
use App\Shop\MadeOf;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\StructureRefused;

/** Keeps the lines of a structure's draft as they were typed, in the order in which they stand. */
final class KeepStructure
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, TypedLine>  $lines  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(int $id, int $version, string $note, array $lines, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($id, $version, $note, $lines, $signed): void {
                $draft = Drafts::held(RevisionKind::Structure, $id, $version);
                $changes = new ProductChanges($ledger->booking->id);
                $stand = new RevisionLines(RevisionKind::Structure, $changes);
                $have = $stand->of($id);
                $want = $this->judged($draft, $lines, $have);
                $stand->replace($id, Drafts::record($draft), $have, $want);
                if ($draft->note !== $note) {
                    $changes->field('structures', $id, Drafts::record($draft), 'why', $draft->note, $note);
                }
                $changes->write();
                $draft->note = $note;
                Drafts::changed($draft, $signed->person);
                $count = count($want) === 1 ? '1 line' : count($want).' lines';
                $ledger->says('Draft '.$draft->label()." kept with {$count}.");
            },
        ));
    }

    /**
     * @param  array<int, TypedLine>  $lines
     * @param  list<array<string, mixed>>  $have
     * @return list<array<string, mixed>>
     *
     * @throws Refused
     */
    private function judged(ItemRevision $draft, array $lines, array $have): array
    {
        $items = Item::query()
            ->with(['unit', 'units.unit'])
            ->whereIn('number_key', array_map(fn (TypedLine $line): string => Code::keyOf($line->component), $lines))
            ->get()
            ->keyBy(fn (Item $item): string => Code::keyOf($item->number));
        $free = $known = array_column($have, 'position', 'id');
        $rows = $wrong = [];
        foreach ($lines as $at => $line) {
            $item = $items[Code::keyOf($line->component)] ?? null;
            $says = self::wrong($draft, $line, $item);
            foreach ($says as $field => $sentence) {
                $wrong["lines.{$at}.{$field}"] = $sentence;
            }
            if ($item !== null && $says === []) {
                $rows[$at] = self::row($line, $item, $free);
                unset($free[$line->id ?? 0]); // a line stands once
            }
        }
        if ($wrong === []) {
            $wrong = $this->loop($draft, $lines, $items);
        }

        return $wrong === [] ? self::positioned($rows, $known) : throw new Refused($wrong);
    }

    /** @return array<string, string> a sentence by field */
    private static function wrong(ItemRevision $draft, TypedLine $line, ?Item $item): array
    {
        if ($item === null) {
            return ['component' => "No item has the number {$line->component}. Type part of its name to find it."];
        }
        if ($item->id === $draft->item_id) {
            return ['component' => "{$item->number} cannot be part of itself."];
        }
        if ($item->retired_at !== null) {
            return ['component' => "{$item->label()} is retired. Take another item, or bring it back."];
        }
        try {
            $line->unit === '' ?: $item->conversion($item->unitCode($line->unit));
        } catch (QuantityRefused $refused) {
            return ['unit' => $refused->getMessage()];
        }

        return [];
    }

    /**
     * @param  array<int, int>  $known  position by id
     * @return array<string, mixed>
     */
    private static function row(TypedLine $line, Item $item, array $known): array
    {
        return [
            ...($line->id !== null && isset($known[$line->id]) ? ['id' => $line->id] : []),
            'item_id' => $item->id,
            'quantity' => $line->quantity,
            'unit_id' => $item->unitId($item->unitCode($line->unit)),
            'basis' => $line->basis->value,
            'scrap_percent' => $line->scrap,
            'step_number' => $line->step,
            'designators' => $line->designators,
            'issue_by' => $line->issueBy->value,
            'supplied_by' => $line->suppliedBy,
        ];
    }

    /**
     * Lines keep their positions as long as these rise; what is new stands between or behind them, and where there is
     * no room all are counted anew.
     *
     * @param  array<int, array<string, mixed>>  $rows
     * @param  array<int, int>  $known  position by id
     * @return list<array<string, mixed>>
     */
    private static function positioned(array $rows, array $known): array
    {
        $old = array_map(fn (array $row): ?int => isset($row['id']) ? $known[$row['id']] : null, array_values($rows));
        $positions = self::positions($old);

        return array_map(
            fn (array $row, int $position): array => ['position' => $position, ...$row],
            array_values($rows),
            $positions,
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
    private function loop(ItemRevision $draft, array $lines, Collection $items): array
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
