<?php

namespace App\Actions\Orders;

use App\Models\Item;
use App\Models\Routing;
use App\Models\Structure;
use App\Models\StructureLine;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\Exploded;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\PhantomUse;
use KeepPace\Core\Structure\Revision;
use KeepPace\Core\Structure\Structures;
use KeepPace\Core\Structure\Takes;

/** The structures and routings orders are copied from, as they are in force on a day; core says which, and explodes. */
final readonly class Masters
{
    /** @param  string  $day  "YYYY-MM-DD" */
    private function __construct(private string $day)
    {
    }

    public static function today(): self
    {
        return new self(now(config()->string('pace.zone'))->toDateString());
    }

    public function structure(Item $item): ?Structure
    {
        return $this->inForce(Structure::class, $item);
    }

    public function routing(Item $item): ?Routing
    {
        return $this->inForce(Routing::class, $item);
    }

    /**
     * What so many pieces take by a structure, phantoms passed through by theirs; items by id.
     */
    public function exploded(Item $item, ?Structure $structure, BigDecimal $quantity): Exploded
    {
        if ($structure === null) {
            return new Exploded([], []);
        }
        $lines = [(string) $item->id => self::lines($structure)];
        $phantoms = [];
        $open = $lines[(string) $item->id];
        while (($line = array_pop($open)) !== null) {
            $component = Item::query()->findOrFail((int) $line->item);
            if ($component->kind === ItemKind::Phantom && ! isset($phantoms[$line->item])) {
                $phantoms[$line->item] = true;
                $inner = $this->structure($component);
                $lines[$line->item] = $inner === null ? [] : self::lines($inner);
                array_push($open, ...$lines[$line->item]);
            }
        }

        return (new Structures($lines, $phantoms))->explode((string) $item->id, BigRational::of($quantity));
    }

    /**
     * What comes back beside an item by its structure, and by those of phantoms that are pulled in.
     *
     * @param  list<PhantomUse>  $phantoms
     * @return list<array{ComesBack, Takes}> with what comes of each for any number of pieces
     */
    public function comesBack(?Structure $structure, array $phantoms): array
    {
        $lines = [];
        foreach (self::backOf($structure) as $line) {
            $lines[] = [$line, $line->takes()];
        }
        foreach ($phantoms as $use) {
            foreach (self::backOf($this->structure(Item::query()->findOrFail((int) $use->item))) as $line) {
                $lines[] = [$line, $use->takes->by(new Line('', $line->item, $line->quantity, $line->basis))];
            }
        }

        return $lines;
    }

    /** @return list<ComesBack> */
    private static function backOf(?Structure $structure): array
    {
        $lines = $structure?->comesBack()->with(['unit', 'item.unit', 'item.units.unit'])->get() ?? collect();

        return array_values($lines->map(fn (StructureLine $line): ComesBack => $line->comesBack())->all());
    }

    /**
     * @template T of Structure|Routing
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    private function inForce(string $kind, Item $item): Structure|Routing|null
    {
        $all = $kind::query()->where('item_id', $item->id)->get();
        $revisions = array_map(fn (Structure|Routing $one): Revision => $one->asRevision(), $all->all());

        return $all->find(Revision::inForce(array_values($revisions), $this->day)?->id);
    }

    /** @return list<Line> */
    private static function lines(Structure $structure): array
    {
        $lines = $structure->lines()->with(['unit', 'item.unit', 'item.units.unit'])->get();

        return array_values($lines->map(fn (StructureLine $line): Line => $line->toCore())->all());
    }
}
