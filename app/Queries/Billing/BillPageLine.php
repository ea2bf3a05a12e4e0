<?php

namespace App\Queries\Billing;

use App\Models\Bill;
use App\Models\BillLine;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Purchasing\BilledLine;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Quantity\Amount;

/** A line of a bill, with how it differs from what came and was agreed. */
final readonly class BillPageLine
{
    /**
     * @param  BilledLine|null  $compared  null = a charge, or it is settled
     * @param  int|null  $purchaseOrder  null = a charge
     * @param  list<string>  $also  numbers of other bills to be looked at that it is on
     */
    private function __construct(
        public int $id,
        public string $number,
        public ?int $purchaseOrder,
        public string $says,
        public string $quantity,
        public string $price,
        public int $cents,
        public ?int $takenCents,
        private string $unit,
        private ?BilledLine $compared,
        private array $also,
    ) {
    }

    /** @return Collection<int, self> */
    public static function of(Bill $bill, AlsoBilled $others): Collection
    {
        $billed = [];

        return $bill->lines->toBase()->map(function (BillLine $line) use (&$billed, $bill, $others): self {
            $before = $billed[$line->purchase_line_id] ?? BigDecimal::zero();
            $billed[$line->purchase_line_id] = $before->plus($line->quantity);

            return self::from($line, $bill->state, $before, $others);
        });
    }

    /** @param  BigDecimal  $before  billed of its purchase line by earlier lines of the same bill */
    private static function from(BillLine $line, BillState $state, BigDecimal $before, AlsoBilled $others): self
    {
        $purchase = $line->purchase;

        return new self(
            $line->id,
            $purchase->number ?? '',
            $purchase?->purchase_order_id,
            $purchase === null
                ? "{$line->says}, {$line->spread_by?->label()}"
                    .($line->receipt_booking_id === null ? '' : ", on the goods of booking {$line->receipt_booking_id}")
                : $purchase->whatFor(),
            $purchase === null ? '' : Figures::amount($line->typed_quantity)." {$line->typed_unit}",
            $purchase === null ? '' : Amount::plain($line->typed_price),
            $line->cents,
            $line->taken_cents,
            $purchase->item->unit->code ?? '',
            $state === BillState::Open ? $line->compared($before) : null,
            $state === BillState::Open ? $others->besides($line) : [],
        );
    }

    public function isCharge(): bool
    {
        return $this->purchaseOrder === null;
    }

    public function differs(): bool
    {
        return $this->compared !== null && ! $this->compared->isAsAgreed();
    }

    /** "also on bill R-2290"; '' = on no other that is to be looked at. */
    public function alsoSays(): string
    {
        return $this->also === [] ? '' : 'also on bill '.implode(', ', $this->also);
    }

    /** "40 here and not billed", by which it is looked at; '' = nothing to compare. */
    public function owedSays(): string
    {
        return $this->compared === null ? '' : Figures::amount($this->compared->owed)." {$this->unit}";
    }

    /** "2 pc are not here, 1.20 € dearer than agreed" */
    public function differenceSays(): string
    {
        if ($this->compared === null || ! $this->differs()) {
            return '';
        }
        $notHere = $this->compared->notHere();
        $are = $this->compared->isCredit() ? 'did not go back' : 'are not here';
        $dearer = $this->compared->dearer();

        return implode(', ', array_filter([
            $notHere->isZero() ? '' : Figures::amount($notHere)." {$this->unit} {$are}",
            $dearer === 0 ? '' : Figures::money(abs($dearer)).' € '.$this->asWhat($dearer > 0).' than agreed',
        ]));
    }

    private function asWhat(bool $isDearer): string
    {
        return $this->compared?->isCredit() === true
            ? ($isDearer ? 'less credited' : 'more credited')
            : ($isDearer ? 'dearer' : 'cheaper');
    }

    /** Theirs can hold: all of it is here. */
    public function canBeTheirs(): bool
    {
        return $this->compared !== null && $this->compared->notHere()->isZero();
    }

    public function key(): string
    {
        return "holds.{$this->id}";
    }

    public function field(): string
    {
        return "holds[{$this->id}]";
    }
}
