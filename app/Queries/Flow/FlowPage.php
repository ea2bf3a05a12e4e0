<?php

namespace App\Queries\Flow;

use App\Models\Item;
use App\Models\SupplierItem;
use App\Queries\Stock\Movement;
use App\Queries\Stock\StockList;
use App\Reading\Row;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use App\Shop\Shelves;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\FlowEvent;
use KeepPace\Core\Planning\FlowRow;
use KeepPace\Core\Planning\StockFlow;

/** Coming and going of one item: what was, what is there, what will be, each with the document behind it. */
final readonly class FlowPage
{
    /** So many movements of the past stand above what will be. */
    private const PAST = 5;

    /** So many are drawn. */
    private const DRAWN = 40;

    /**
     * @param  Collection<int, Movement>  $past  oldest first
     * @param  Collection<int, Movement>  $drawn  oldest first
     * @param  array<int, FlowLine>  $lines  in the order of the flow's rows
     * @param  list<FlowLine>  $undated
     */
    private function __construct(
        public Item $item,
        public StockFlow $flow,
        public Collection $past,
        private Collection $drawn,
        public array $lines,
        public array $undated,
        private Deliveries $deliveries,
        private BigDecimal $notFree,
    ) {
    }

    public static function of(int $id): self
    {
        $item = Item::query()->with('unit')->findOrFail($id);
        $lines = (new FlowLines($item->id))->all();
        $events = [];
        foreach ($lines as $key => $line) {
            $events[] = new FlowEvent($line->event->at, $line->event->quantity, $key);
        }
        $free = Shelves::sums()->where('b.item_id', $item->id);
        $start = Row::first($free, fn (Row $row): BigDecimal => $row->decimal('quantity')) ?? BigDecimal::zero();
        $flow = StockFlow::of($start, BigDecimal::of($item->safety_stock), $events);

        // what is only revalued, or blocked and set free, neither comes nor goes
        $moves = StockList::movements($item->id, 0)
            ->filter(fn (Movement $move): bool => ! $move->signed->isZero())
            ->values();

        return new self(
            $item,
            $flow,
            $moves->take(self::PAST)->reverse()->values(),
            $moves->take(self::DRAWN)->reverse()->values(),
            array_map(fn (FlowRow $row): FlowLine => $lines[$row->event->key], $flow->rows),
            array_map(fn ($event): FlowLine => $lines[$event->key], $flow->undated),
            Deliveries::now(),
            Row::sum(DB::table('balances')->where('item_id', $item->id), 'quantity')->minus($start),
        );
    }

    /** What stands at "now": where it goes on from less than there was, why. */
    public function nowSays(): string
    {
        return $this->notFree->isZero()
            ? 'free in stores'
            : 'free in stores; '.Figures::amount((string) $this->notFree)
                .' more: blocked, in inspection, outside or a customer\'s own';
    }

    /** What becomes of it, in a sentence. */
    public function says(): string
    {
        $unit = $this->item->unit->code;
        if ($this->flow->short !== null) {
            return Figures::amount((string) $this->flow->missing())." {$unit} will be missing, first "
                .When::onDay($this->flow->short->at()).'.';
        }
        if ($this->flow->isBelowNow()) {
            return 'Less than its safety level is there now.';
        }

        return $this->flow->below === null
            ? 'There is enough for all that is known.'
            : 'It falls below its safety level '.When::onDay($this->flow->below->at()).'.';
    }

    /** What cures it, in a sentence; '' = nothing has to be. */
    public function cure(): string
    {
        $first = $this->flow->short ?? $this->flow->below;
        $missing = $this->flow->missingToSafety();
        if ($first === null || ! $missing->isPositive() || $this->item->isMade()) {
            return '';
        }
        $by = $this->deliveries->orderBy(
            LeadTime::agreed(
                $this->item,
                $this->item->supplier_id,
                SupplierItem::of($this->item->id, $this->item->supplier_id),
            ),
            $first->at(),
        );
        $days = $this->deliveries->plant->workingDaysBetween($by, $this->deliveries->today);

        return ucfirst($this->curedBy($missing)).': '
            .ArrivalWords::orderBy($by, $this->deliveries->today, $days).'.';
    }

    /** "with 2 pc more there is enough, with 6 its safety level too" */
    private function curedBy(BigDecimal $toSafety): string
    {
        $unit = $this->item->unit->code;
        $short = $this->flow->missing();
        $all = Figures::amount((string) $toSafety);

        return $short->isZero() || $short->isEqualTo($toSafety)
            ? "with {$all} {$unit} more there is enough"
            : 'with '.Figures::amount((string) $short)." {$unit} more there is enough, "
                ."with {$all} its safety level too";
    }

    public function drawing(): FlowDrawing
    {
        return FlowDrawing::of($this->flow, $this->drawn);
    }
}
