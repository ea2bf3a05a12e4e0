<?php

namespace App\Actions\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\LineBasis;

/** A component of an order that something is planned of: what of it could be used now. */
final readonly class PlannedUse
{
    private function __construct(
        public int $id,
        public int $orderId,
        public int $itemId,
        public int $stepNumber,
        public BigDecimal $planned,
        public BigDecimal $used,
        public BigDecimal $pieces,
        private bool $isTheirs,
        private ?int $ownerId,
        private bool $isBackflushed,
        public bool $isPerOrder,
        private ?BigRational $each,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->int('item_id'),
            $row->int('step_number'),
            $row->decimal('planned_quantity'),
            $row->decimal('used_quantity')
                ->plus($row->decimal('replaced_quantity'))
                ->plus($row->decimal('along_quantity')),
            $row->decimal('quantity'),
            $row->text('supplied_by') === 'customer',
            $row->intOrNull('owner_id'),
            $row->enum('issue_by', IssueBy::class) === IssueBy::Backflush,
            $row->enum('basis', LineBasis::class) === LineBasis::PerOrder,
            self::each($row),
        );
    }

    /**
     * In the order they are picked: by rank, by order, as the structure lists them.
     *
     * @param  list<int>  $orders
     * @param  int|null  $step  of that step alone; null = of all
     * @return Collection<int, self>
     */
    public static function of(array $orders, ?int $step): Collection
    {
        $query = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->whereIn('c.order_id', $orders)
            ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED)
            ->when($step !== null, fn (Builder $query) => $query->where('c.step_number', $step))
            ->where('c.planned_quantity', '>', 0)
            ->orderBy('o.rank')
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->orderBy('c.position')
            ->orderBy('c.id')
            ->select([
                'c.id',
                'c.order_id',
                'c.item_id',
                'c.step_number',
                'c.planned_quantity',
                'c.used_quantity',
                'c.replaced_quantity',
                'c.along_quantity',
                'c.supplied_by',
                'c.issue_by',
                'o.quantity',
                'o.owner_id',
                'c.basis',
                'c.ratio_p',
                'c.ratio_q',
                'c.hand_ratio_p',
                'c.hand_ratio_q',
                'c.hand_beside',
            ]);

        return Row::all($query, self::from(...));
    }

    /** By itself, when its step is counted: it is proposed with what was reported only. */
    public function isBackflushed(): bool
    {
        return $this->isBackflushed;
    }

    /** Of a customer's own material, and of no customer's order: there is nothing it could be taken from. */
    public function hasNoSource(): bool
    {
        return $this->isTheirs && $this->ownerId === null;
    }

    /** Whose material it is; 0 = ours. */
    public function owner(): int
    {
        return $this->isTheirs ? (int) $this->ownerId : 0;
    }

    /** What one piece takes, by hand or by the structure; null = not each the same. */
    private static function each(Row $row): ?BigRational
    {
        $from = $row->textOrNull('hand_ratio_p') === null ? '' : 'hand_';
        $isEven = $from === '' || $row->decimal('hand_beside')->isZero();

        return $isEven && $row->textOrNull("{$from}ratio_p") !== null
            ? BigRational::nd($row->text("{$from}ratio_p"), $row->text("{$from}ratio_q"))
            : null;
    }

    /** What so many pieces take; null = a share of what is planned. */
    public function exactFor(BigDecimal $pieces): ?BigRational
    {
        return $this->each?->multipliedBy($pieces);
    }

    /** @param  BigDecimal  $served  pieces counted at its step or after it */
    public function shareOf(BigDecimal $served): BigRational
    {
        return BigRational::of($served)->dividedBy($this->pieces);
    }
}
