<?php

namespace App\Queries\Product;

use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Queries\Files\HangingFile;
use App\Queries\Orders\PaceSegment;
use App\Queries\Orders\PaceStrip;
use App\Queries\ProductTrail;
use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\CentreRates;
use App\Shop\Services;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\ExactCost;
use KeepPace\Core\Refused;

/** A routing as its page shows it: its steps, with the time and the cost of so many pieces, drawn to scale. */
final readonly class RoutingPage
{
    public const FILES = Attachable::Item;

    /**
     * @param  Collection<int, RoutingRow>  $rows
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     * @param  string|null  $refused  why time and cost cannot be told
     * @param  Collection<int, PhantomBefore>  $phantoms  that give their steps too
     * @param  Collection<int, HangingFile>  $instructions  files that say how it is done
     */
    private function __construct(
        public Routing $routing,
        public RevisionList $revisions,
        public Collection $rows,
        public BigDecimal $pieces,
        public bool $isUsualLot,
        public BeforeApproval $approval,
        public Collection $changes,
        public ?string $refused,
        public Collection $phantoms,
        public Collection $instructions,
    ) {
    }

    /** @param  BigDecimal|null  $pieces  above 0; null = the usual lot */
    public static function of(Routing $routing, ?BigDecimal $pieces): self
    {
        $routing->loadMissing('item.unit');
        $lot = BigDecimal::of($routing->item->usual_lot);
        $for = $pieces ?? ($lot->isPositive() ? $lot : BigDecimal::one());
        $steps = Row::all(self::steps($routing->id), fn (Row $row): Row => $row);
        $services = Services::of($steps->map(fn (Row $row): ?int => $row->intOrNull('service_item_id'))->all());
        $rows = $steps->map(fn (Row $row): RoutingRow => RoutingRow::from($row, $for, $services));
        $refused = null;
        try {
            $rows->each(fn (RoutingRow $row): int => $row->minutes());
        } catch (Refused $why) {
            $refused = $why->getMessage();
        }

        return new self(
            $routing,
            RevisionList::of(RevisionKind::Routing, $routing->item_id),
            $rows,
            $for,
            $lot->isPositive() && $for->isEqualTo($lot),
            BeforeApproval::of($routing),
            ProductTrail::of('routings', $routing->id),
            $refused,
            PhantomBefore::in($routing->item_id),
            HangingFile::onAll(Attachable::Item, [$routing->item_id], [AttachmentKind::Instruction]),
        );
    }

    private static function steps(int $routing): Builder
    {
        $steps = DB::table('routing_steps AS s')
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->where('s.routing_id', $routing)
            ->orderBy('s.number')
            ->select(['s.id', 's.number', 's.name', 's.work_centre_id', 's.supplier_id', 's.setup_minutes'])
            ->addSelect(['s.run_basis', 's.run_rate', 's.batch', 's.crew', 's.wait_minutes', 's.move_minutes'])
            ->addSelect(['s.lead_time_days', 's.transport_days', 's.price', 's.setup_cents', 's.minimum_cents'])
            ->addSelect('s.instructions')
            ->leftJoin('items AS e', 'e.id', 's.service_item_id')
            ->addSelect(['s.work_ordered', 's.service_item_id', 'e.number AS service'])
            ->addSelect(['s.setup_crew', 's.transfer_quantity'])
            ->addSelect(['s.qualification', 's.tools', 's.machine_minutes'])
            ->leftJoin('families AS f', 'f.id', 's.family_id')
            ->addSelect(['w.name AS work_centre', 'v.name AS supplier', 'f.code AS family', 's.may_be_interrupted'])
            ->selectSub(self::ways(), 'ways');

        return CentreRates::select($steps);
    }

    /** As they are typed: "SAW2|BENCH:150". */
    private static function ways(): Builder
    {
        return DB::table('routing_step_ways AS y')
            ->join('work_centres AS o', 'o.id', 'y.work_centre_id')
            ->whereColumn('y.routing_step_id', 's.id')
            ->selectRaw(
                "GROUP_CONCAT(IF(y.percent = 100, o.code, CONCAT(o.code, ':', y.percent)) ORDER BY y.id SEPARATOR '|')",
            );
    }

    public function state(): ?ListedRevision
    {
        return $this->revisions->find($this->routing->id);
    }

    public function cost(): CostWords
    {
        $sum = fn (ExactCost $sum, RoutingRow $row): ExactCost => $sum->plus($row->exactCost());

        return new CostWords($this->rows->reduce($sum, ExactCost::nothing()), $this->pieces, $this->isUsualLot);
    }

    /** Minutes of work here. */
    public function minutes(): int
    {
        return $this->here()->sum(fn (RoutingRow $row): int => $row->minutes());
    }

    /** Days at suppliers. */
    public function days(): int
    {
        return $this->rows->sum(fn (RoutingRow $row): int => $row->daysAway());
    }

    public function strip(): PaceStrip
    {
        $day = Settings::whole(Setting::OutsideDayMinutes);
        $segments = $this->rows->map(fn (RoutingRow $row): PaceSegment => new PaceSegment(
            $row->number,
            $row->name,
            max(1, $row->isOutside() ? $row->daysAway() * $day : $row->minutes()),
            0.0,
            $row->isOutside(),
            false,
            false,
        ));

        return new PaceStrip(
            array_values($segments->all()),
            (int) $segments->sum(fn (PaceSegment $segment): int => $segment->minutes),
            null,
        );
    }

    /** @return Collection<int, RoutingRow> */
    private function here(): Collection
    {
        return $this->rows->reject(fn (RoutingRow $row): bool => $row->isOutside());
    }
}
