<?php

namespace App\Queries\Purchasing;

use App\Models\PurchaseLine;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\AnsweredLine;
use KeepPace\Core\Quantity\Cents;

/** A line on the page of its purchase order: from ordered to billed. */
final readonly class PurchaseLineRow
{
    private function __construct(
        public int $id,
        public string $number,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $typedUnit,
        private BigDecimal $typed,
        public BigDecimal $wanted,
        public BigDecimal $received,
        public BigDecimal $returned,
        public BigDecimal $billed,
        public BigDecimal $cancelled,
        public BigDecimal $price,
        public string $expectedOn,
        public ?string $confirmedOn,
        public ?AnsweredLine $asked,
        public bool $isOpen,
        public bool $isWork,
        private int $setup,
        private int $minimum,
        private int $workCents,
    ) {
    }

    /** @param  PurchaseLine  $line  with its item, that one's unit and the unit it was typed in */
    public static function from(PurchaseLine $line): self
    {
        $wanted = $line->wanted();

        return new self(
            $line->id,
            $line->number,
            $line->item_id,
            $line->name(),
            $line->item->shownNumber(),
            $line->item->unit->code,
            $line->typedUnit->code ?? $line->item->unit->code,
            $line->asTyped($wanted),
            $wanted,
            BigDecimal::of($line->received_quantity),
            BigDecimal::of($line->returned_quantity),
            BigDecimal::of($line->billed_quantity),
            BigDecimal::of($line->cancelled_quantity),
            BigDecimal::of($line->price),
            $line->expected_on,
            $line->confirmed_on,
            $line->asked(),
            $wanted->isGreaterThan($line->received_quantity),
            $line->isWork(),
            $line->setup_cents,
            $line->minimum_cents,
            $line->work_cents,
        );
    }

    /** In the unit it was typed in, as it is put into a field. */
    public function typed(): string
    {
        return Figures::amount($this->typed);
    }

    /** "= 14.4 m2", where it was typed in another unit */
    public function inStock(): string
    {
        return $this->typedUnit === $this->unit ? '' : '= '.Figures::amount($this->wanted)." {$this->unit}";
    }

    public function toCome(): BigDecimal
    {
        return BigDecimal::max(0, $this->wanted->minus($this->received));
    }

    /** It should be here by now. */
    public function isLate(): bool
    {
        return $this->isOpen && $this->expectedOn < When::today()->toDateString();
    }

    /** Cents of what is wanted. */
    public function cents(): int
    {
        return self::worth($this->wanted, $this->price);
    }

    /** Cents of what came. */
    public function centsIn(): int
    {
        return $this->isWork ? $this->workCents : self::worth($this->received, $this->price);
    }

    /** "set-up 15.00 €, at least 75.00 €", of work */
    public function termsSay(): string
    {
        return implode(', ', array_filter([
            $this->setup > 0 ? 'set-up '.Figures::money($this->setup).' €' : '',
            $this->minimum > 0 ? 'at least '.Figures::money($this->minimum).' €' : '',
        ]));
    }

    /** "36 pc at 1.25 €", as the supplier answered */
    public function answerSays(): string
    {
        return $this->asked === null
            ? ''
            : Figures::amount($this->asked->answered)." {$this->unit} at ".Figures::amount($this->asked->answeredPrice)
                .' €';
    }

    /** "3.00 € more than ordered" */
    public function differenceSays(): string
    {
        $more = $this->asked?->costsMore() ?? BigDecimal::zero();
        $euros = Figures::money(abs(Cents::of(BigDecimal::one(), (string) $more)));

        return match (true) {
            $more->isZero() => 'at the same cost',
            $more->isPositive() => "{$euros} € more than it was ordered for",
            default => "{$euros} € less than it was ordered for",
        };
    }

    /** What became of a line of which nothing is to come. */
    public function ended(): string
    {
        return $this->received->isZero() ? 'given up' : 'all in';
    }

    /** Its name among the errors. */
    public function key(string $name): string
    {
        return "lines.{$this->id}.{$name}";
    }

    /** One of its fields among those of the other lines. */
    public function field(string $name): string
    {
        return "lines[{$this->id}][{$name}]";
    }

    private static function worth(BigDecimal $quantity, BigDecimal $price): int
    {
        return Cents::of($quantity, (string) $price);
    }
}
