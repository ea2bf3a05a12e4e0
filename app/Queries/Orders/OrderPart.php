<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\ItemKind;

/** A component of an order: what is needed, used, allocated, on hand, coming and short. */
final readonly class OrderPart
{
    private const BY_CUSTOMER = 'customer';

    /**
     * @param  BigDecimal  $baseline  as the master had it when the order was made
     * @param  BigDecimal  $replaced  used of what stands in for it
     * @param  int  $plannedValue  cents
     * @param  int  $usedValue  cents
     * @param  BigDecimal  $reserved  kept hard for the order
     * @param  list<Coming>  $coming
     * @param  string|null  $standsFor  the component it is used in place of
     * @param  string|null  $lots  used, by code
     * @param  bool|null  $goesAlong  a person planned it, and it goes with the order's quantity; null = nobody did
     */
    private function __construct(
        public int $id,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public int $step,
        public BigDecimal $baseline,
        public BigDecimal $planned,
        public BigDecimal $used,
        public BigDecimal $replaced,
        public BigDecimal $along,
        public int $plannedValue,
        public int $usedValue,
        public BigDecimal $fromStock,
        public BigDecimal $missing,
        public BigDecimal $reserved,
        public BigDecimal $onHand,
        public array $coming,
        public ?string $standsFor,
        public ?string $lots,
        private IssueBy $issueBy,
        private string $suppliedBy,
        private ItemKind $kind,
        private ?bool $goesAlong,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->int('step_number'),
            $row->decimal('baseline_quantity'),
            $row->decimal('planned_quantity'),
            $row->decimal('used_quantity'),
            $row->decimal('replaced_quantity'),
            $row->decimal('along_quantity'),
            $row->int('planned_value'),
            $row->int('used_value'),
            $row->decimalOrZero('from_stock'),
            $row->decimalOrZero('missing'),
            $row->decimalOrZero('reserved'),
            $row->decimal('on_hand'),
            Coming::all($row->textOrNull('coming')),
            $row->textOrNull('stands_for'),
            $row->textOrNull('lots'),
            $row->enum('issue_by', IssueBy::class),
            $row->text('supplied_by'),
            $row->enum('kind', ItemKind::class),
            $row->decimalOrNull('hand_ratio_p')?->isPositive(),
        );
    }

    public function isUnplanned(): bool
    {
        return $this->standsFor === null && $this->baseline->isZero() && $this->planned->isZero();
    }

    /** Used by itself when its step is counted. */
    public function isBackflushed(): bool
    {
        return $this->issueBy === IssueBy::Backflush;
    }

    public function isCustomersOwn(): bool
    {
        return $this->suppliedBy === self::BY_CUSTOMER;
    }

    /** It is short, and nobody makes it here or brings it of their own. */
    public function canBeBought(): bool
    {
        return $this->missing->isPositive() && ! $this->kind->isMadeHere() && ! $this->isCustomersOwn();
    }

    public function isMadeHere(): bool
    {
        return $this->kind->isMadeHere();
    }

    /** Name of a field of its purchase. */
    public function buys(string $field): string
    {
        return "items[{$this->itemId}][{$field}]";
    }

    public function buysKey(string $field): string
    {
        return "items.{$this->itemId}.{$field}";
    }

    public function buyWords(): string
    {
        return $this->isMadeHere() ? 'Have it made there' : 'Buy it there';
    }

    /** It is put together of parts, which can go in themselves. */
    public function hasParts(): bool
    {
        return $this->kind->isMadeHere() && $this->withParts()->isPositive() && ! $this->isCustomersOwn();
    }

    /** What is missing of it, else all that is still taken: of so many the parts are offered. */
    public function withParts(): BigDecimal
    {
        return $this->missing->isPositive() ? $this->missing : BigDecimal::max(0, $this->planned->minus($this->used));
    }

    public function canBeMade(): bool
    {
        return $this->missing->isPositive() && $this->kind->isMadeHere() && ! $this->isCustomersOwn();
    }

    /** The order wants another quantity than the master. */
    public function isChanged(): bool
    {
        return ! $this->planned->isEqualTo($this->baseline);
    }

    /** "the master says 12; planned by hand, it goes with the order's quantity" */
    public function masterSays(): string
    {
        $says = 'the master says '.Amount::plain($this->baseline);

        return match ($this->goesAlong) {
            null => $says,
            true => "{$says}; planned by hand, it goes with the order's quantity",
            false => "{$says}; planned by hand, it stays when the order's quantity changes",
        };
    }

    public function isOverused(): bool
    {
        return $this->used->isGreaterThan($this->planned);
    }

    public function isUsed(): bool
    {
        return $this->usedValue !== 0 || ! $this->used->isZero();
    }

    /** One of its forms among the others of a page. */
    public function form(string $deed): string
    {
        return "{$deed}-{$this->id}";
    }
}
