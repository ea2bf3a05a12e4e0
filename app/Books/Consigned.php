<?php

namespace App\Books;

use App\Models\Consignment;
use App\Models\ConsignmentLine;
use App\Models\Item;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Place;
use App\Models\PurchasePart;
use App\Models\Supplier;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Outside\Sent;
use KeepPace\Core\Refused;

/**
 * Pieces that are with suppliers, by consignment. A line is guarded by the order whose pieces it has; its figures are
 * the sums of its entries.
 */
final class Consigned implements Book
{
    /** Hour of its day at which what is made of parts is due. */
    private const DUE_AT = '12:00';

    /** @var list<array<string, int|string>> to be written at the end */
    private array $entries = [];

    /** @var array<int, Consignment> of this booking, by supplier */
    private array $made = [];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    /** Pieces of a step go to its supplier, with what else goes in this booking. */
    public function send(OrderStep $step, Supplier $to, BigDecimal $pieces, CarbonImmutable $at, string $backAt): void
    {
        $this->line($to, $pieces, $at, ['order_step_id' => $step->id, 'back_at' => $backAt]);
        if ($step->started_at === null) {
            $step->started_at = $at;
            $step->save();
        }
    }

    /** Stock goes along to a supplier, who makes something of it that is bought; it is moved to his place besides. */
    public function sendPart(PurchasePart $part, Supplier $to, int $lot, BigDecimal $amount, CarbonImmutable $at): void
    {
        $back = Deliveries::now()->at($part->line->expected_on, self::DUE_AT);
        $this->line($to, $amount, $at, ['part_id' => $part->id, 'lot_id' => $lot, 'back_at' => $back]);
    }

    /** A component goes along with the pieces of its order; it is moved to the place of the supplier besides. */
    public function sendComponent(
        OrderComponent $component,
        Supplier $to,
        int $lot,
        BigDecimal $amount,
        CarbonImmutable $at,
        string $backAt,
    ): void {
        $this->line($to, $amount, $at, ['component_id' => $component->id, 'lot_id' => $lot, 'back_at' => $backAt]);
    }

    /**
     * Stock that went along is not there any more: used up for good or spoiled pieces, lost, or back. What went first
     * goes first.
     *
     * @return array<int, array{lot: int, place: int, of: Sent}> by line: where it lay
     *
     * @throws Refused when more of it is gone than is there
     */
    public function partGone(PurchasePart $part, CameBack $gone, string $field): array
    {
        return $this->gone(self::linesThere('part_id', $part->id), $part->item, $gone, $field);
    }

    /**
     * The same of a component that went along with pieces.
     *
     * @return array<int, array{lot: int, place: int, of: Sent}> by line: where it lay
     *
     * @throws Refused
     */
    public function componentGone(OrderComponent $component, CameBack $gone, string $field): array
    {
        return $this->gone(self::linesThere('component_id', $component->id), $component->item, $gone, $field);
    }

    /**
     * @param  Collection<int, ConsignmentLine>  $lines
     * @return array<int, array{lot: int, place: int, of: Sent}> by line: where it lay
     *
     * @throws Refused
     */
    private function gone(Collection $lines, Item $item, CameBack $gone, string $field): array
    {
        $there = self::there($lines);
        $all = BigDecimal::sum(BigDecimal::zero(), ...array_values($there));
        if ($gone->all()->isGreaterThan($all)) {
            $label = $item->label();
            throw OutsideRefused::moreUsedThanThere($gone->all(), $all, $item->unit->code, $label, $field);
        }
        $dealt = [];
        foreach ($gone->dealtOver($there, $item->label(), BigDecimal::zero()) as $id => $of) {
            $line = $lines[$id] ?? throw new \LogicException('Dealt to nobody.');
            $this->enter($line, $of);
            $place = Place::ofSupplier($line->consignment->supplier)->id;
            $dealt[$id] = ['lot' => $line->lot_id, 'place' => $place, 'of' => $of];
        }

        return $dealt;
    }

    /** The consignment of this booking to a supplier. */
    public function to(Supplier $supplier): Consignment
    {
        return $this->made[$supplier->id] ?? throw new \LogicException('Nothing was sent to them.');
    }

    /**
     * Pieces of a step are not with its supplier any more.
     *
     * @throws Refused when more came back than are there
     */
    public function came(OrderStep $step, CameBack $came): void
    {
        $lines = self::linesThere('order_step_id', $step->id);
        $there = self::there($lines);
        $here = $step->pieces()->toDo()->minus(BigDecimal::sum(BigDecimal::zero(), ...array_values($there)));
        foreach ($came->dealtOver($there, $step->label(), $here) as $id => $of) {
            $this->enter($lines[$id] ?? throw new \LogicException('Dealt to nobody.'), $of);
        }
    }

    /** The work on pieces that one booking had back spoiled is to be paid after all. */
    public function paidAfterAll(OrderStep $step, int $booking): void
    {
        $entries = DB::table('consignment_entries AS e')
            ->join('consignment_lines AS l', 'l.id', 'e.consignment_line_id')
            ->where('e.booking_id', $booking)
            ->where('l.order_step_id', $step->id)
            ->where('e.unpaid', '>', 0)
            ->select(['e.consignment_line_id', 'e.unpaid']);
        foreach (Row::all($entries, fn (Row $row): Row => $row) as $row) {
            $line = ConsignmentLine::query()->findOrFail($row->int('consignment_line_id'));
            $none = BigDecimal::zero();
            $this->enter($line, new Sent($none, $none, $none, $none, $none, $row->decimal('unpaid')->negated()));
        }
    }

    public function locks(Undone $undone): Needs
    {
        $lines = self::of($undone)->map(fn (Row $row): int => $row->int('consignment_line_id'));
        $of = ConsignmentLine::query()->whereKey($lines)->get();
        $steps = OrderStep::query()->whereKey($of->pluck('order_step_id')->filter())->pluck('order_id');
        $components = OrderComponent::query()->whereKey($of->pluck('component_id')->filter())->pluck('order_id');

        return Needs::orders($steps)->and(Needs::orders($components));
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    public function reverse(Undone $undone): void
    {
        foreach (self::of($undone) as $row) {
            $line = ConsignmentLine::query()
                ->with('consignment', 'step', 'component')
                ->findOrFail($row->int('consignment_line_id'));
            $back = self::entry($row)->negated();
            if ($line->pieces()->plus($back)->isImpossible()) {
                $says = "Pieces of {$line->consignment->number} came back since.";
                $order = $line->step->order_id ?? $line->component?->order_id;
                throw $order === null
                    ? Refused::because("{$says} Reverse that booking first.")
                    : LaterBookings::ofSteps($undone->booking, $order)->refused($says);
            }
            $this->enter($line, $back);
            if (
                $line->step !== null
                && Away::pieces($line->step->id)->isZero()
                && $line->step->pieces()->isUncounted()
            ) {
                $line->step->update(['started_at' => null]);
            }
        }
    }

    public function flush(): void
    {
        DB::table('consignment_entries')->insert($this->entries);
        $this->entries = [];
    }

    /**
     * No piece leaves a step while it is with the supplier.
     *
     * @throws Refused naming where they are
     */
    public static function assertNotThere(OrderStep $step, BigDecimal $toDo): void
    {
        $there = Away::pieces($step->id);
        if ($there->isGreaterThan($toDo)) {
            throw OutsideRefused::withTheSupplier($there, $step->label());
        }
    }

    /**
     * @param  string  $of  the column that says whose pieces they are
     * @return Collection<int, ConsignmentLine> with the supplier, by id, oldest first
     */
    private static function linesThere(string $of, int $id): Collection
    {
        return ConsignmentLine::query()
            ->with('consignment.supplier')
            ->where($of, $id)
            ->where('there', '>', 0)
            ->orderBy('id')
            ->get()
            ->toBase()
            ->keyBy('id');
    }

    /**
     * @param  Collection<int, ConsignmentLine>  $lines
     * @return array<int, BigDecimal> pieces by line
     */
    private static function there(Collection $lines): array
    {
        return $lines->map(fn (ConsignmentLine $line): BigDecimal => $line->pieces()->there())->all();
    }

    /** @param  array<string, int|string>  $of  whose pieces they are, or which part; and the day they are due */
    private function line(Supplier $to, BigDecimal $sent, CarbonImmutable $at, array $of): void
    {
        $head = $this->made[$to->id] ??= Consignment::query()->create([
            'number' => Numbers::next('consignment'),
            'supplier_id' => $to->id,
            'booking_id' => $this->ledger->booking->id,
            'sent_at' => $at,
        ]);
        $line = ConsignmentLine::query()->create([
            'consignment_id' => $head->id,
            'position' => 1 + $head->lines()->count(),
            'sent_at' => $at,
            ...$of,
        ]);
        $none = BigDecimal::zero();
        $this->enter($line->refresh(), new Sent($sent, $none, $none, $none, $none));
    }

    private function enter(ConsignmentLine $line, Sent $change): void
    {
        $now = $line->pieces()->plus($change);
        $line->update(self::columns($now));
        if ($line->component_id !== null) {
            $component = OrderComponent::query()->findOrFail($line->component_id);
            $there = BigDecimal::of($component->along_quantity)->plus($change->there());
            $component->update(['along_quantity' => (string) $there]);
        }
        $this->entries[] = [
            'booking_id' => $this->ledger->booking->id,
            'consignment_line_id' => $line->id,
            ...self::columns($change),
        ];
    }

    /** @return array<string, string> */
    private static function columns(Sent $pieces): array
    {
        return [
            'sent' => (string) $pieces->sent,
            'good' => (string) $pieces->good,
            'spoiled' => (string) $pieces->spoiled,
            'lost' => (string) $pieces->lost,
            'unworked' => (string) $pieces->unworked,
            'unpaid' => (string) $pieces->unpaid,
        ];
    }

    private static function entry(Row $row): Sent
    {
        return new Sent(
            $row->decimal('sent'),
            $row->decimal('good'),
            $row->decimal('spoiled'),
            $row->decimal('lost'),
            $row->decimal('unworked'),
            $row->decimal('unpaid'),
        );
    }

    /** @return Collection<int, Row> */
    private static function of(Undone $undone): Collection
    {
        return $undone->isWhole
            ? Row::all(
                DB::table('consignment_entries')->where('booking_id', $undone->booking->id)->orderByDesc('id'),
                fn (Row $row): Row => $row,
            )
            : collect();
    }
}
