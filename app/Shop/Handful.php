<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\Arrival;

/** Pieces of a step that went to a supplier together, in a consignment. */
final readonly class Handful
{
    /**
     * @param  BigDecimal  $away  pieces of it still there
     * @param  Arrival  $back  when it is back
     * @param  int  $passed  how often a day that was given for it has passed
     * @param  string|null  $askAgainOn  nobody knows the day: it is asked for again then
     */
    private function __construct(
        public int $id,
        public int $consignmentId,
        public string $consignment,
        public BigDecimal $away,
        public CarbonImmutable $sentAt,
        public Arrival $back,
        public int $passed,
        public ?string $askAgainOn,
    ) {
    }

    public static function from(Row $row, Deliveries $deliveries): self
    {
        $again = $row->textOrNull('ask_again_on');
        $back = $deliveries->back($row->text('back_at'), $again);

        return new self(
            $row->int('id'),
            $row->int('consignment_id'),
            $row->text('number'),
            $row->decimal('away'),
            $row->moment('sent_at'),
            $back,
            $row->int('days_passed') + ($back->isLate() ? 1 : 0),
            $again,
        );
    }

    /** Days since it went, by the plant's calendar days. */
    public function daysOut(CarbonImmutable $now): int
    {
        $zone = config()->string('pace.zone');
        $sent = $this->sentAt->setTimezone($zone)->startOfDay();

        return (int) $sent->diffInDays($now->setTimezone($zone)->startOfDay());
    }
}
