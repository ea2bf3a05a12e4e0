<?php

namespace App\Queries\Product;

use App\Models\RevisionKind;
use App\Models\Structure;
use App\Queries\ProductTrail;
use App\Shop\MadeLine;
use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\RolledCost;
use KeepPace\Core\Costing\RolledLine;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Indented;
use KeepPace\Core\Structure\IndentedLine;

/** A structure as its page shows it: all levels with what they cost, how it stands, what is missing of a draft. */
final readonly class StructurePage
{
    /** Lines of an indented view: more is not read, and takes the page long. */
    private const MOST = 2500;

    /**
     * @param  list<StructureRow>  $rows
     * @param  string|null  $refused  why it cannot be rolled up
     * @param  list<MadeLine>  $lines  its own, that go in
     * @param  list<MadeLine>  $back  its own, that come back
     * @param  list<StructureBack>  $given  what comes back, with what it carries
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     */
    private function __construct(
        public Structure $structure,
        public RevisionList $revisions,
        public array $rows,
        public bool $isCut,
        public int $levels,
        public ?CostWords $cost,
        public int $work,
        public ?string $refused,
        public BeforeApproval $approval,
        public array $lines,
        public array $back,
        public array $given,
        public Collection $changes,
        public ?WaitsFor $waits,
    ) {
    }

    /** @param  BigDecimal|null  $pieces  above 0; null = the usual lot */
    public static function of(Structure $structure, ?BigDecimal $pieces): self
    {
        $structure->loadMissing('item.unit');
        $rolled = RolledUp::of([], $structure);
        $number = $structure->item->number;
        $item = $rolled->of->items[$number];
        $pieces ??= $item->lot();
        $rows = [];
        $indented = $cost = $refused = null;
        try {
            $cost = $rolled->cost->of($number, $pieces);
            $indented = $rolled->of->structures()->indented($number, BigRational::of($pieces), self::MOST);
            $rows = self::rows($rolled, $indented, $cost);
        } catch (Refused $why) {
            $refused = $why->getMessage();
        }

        return new self(
            $structure,
            RevisionList::of(RevisionKind::Structure, $structure->item_id),
            $rows,
            $indented?->isCut() ?? false,
            $indented->levels ?? 0,
            $cost === null ? null : new CostWords($cost->total(), $pieces, $item->hasLot()
                && $pieces->isEqualTo($item->lot())),
            $cost === null ? 0 : (new CostWords($cost->work, $pieces, false))->total(),
            $refused,
            BeforeApproval::of($structure),
            $rolled->of->lines[$number] ?? [],
            $rolled->of->comesBack[$number] ?? [],
            StructureBack::all($rolled, $cost),
            ProductTrail::of('structures', $structure->id),
            WaitsFor::of($structure),
        );
    }

    /** @return list<StructureRow> */
    private static function rows(RolledUp $rolled, Indented $indented, RolledCost $cost): array
    {
        $lines = $rolled->of->linesById();
        $direct = [];
        foreach ($cost->lines as $one) {
            $direct[$one->need->line->id] ??= $one;
        }
        $row = function (IndentedLine $one) use ($rolled, $lines, $direct, $cost): StructureRow {
            $own = $one->level === 1 ? $direct[$one->line->id] ?? null : null;

            return new StructureRow(
                $one,
                $lines[(int) $one->line->id],
                $rolled->of->items[$one->line->item],
                $rolled->cost->unit($one->line->item)->total(),
                $own instanceof RolledLine ? $own->oneMore($cost->pieces) : null,
            );
        };

        return array_map($row, $indented->lines);
    }

    public function state(): ?ListedRevision
    {
        return $this->revisions->find($this->structure->id);
    }

    /** Where it stands on paper, for as many pieces. */
    public function paper(): string
    {
        return route('structures.paper', [$this->structure->id, 'pieces' => (string) $this->cost?->pieces]);
    }

    /** How deep it goes. */
    public function depth(): int
    {
        return $this->rows === [] ? 0 : max(array_map(fn (StructureRow $row): int => $row->level(), $this->rows));
    }
}
