<?php

namespace App\Actions\Shop;

use App\Books\Bookings;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Refused;

/** Counts what comes back from the supplier of a step, and passes it on: a deed of who receives it. */
final class ComesBack
{
    public function __construct(private readonly Bookings $bookings, private readonly ReportStep $report)
    {
    }

    /**
     * @param  array{good: string, scrap: string, pass_on: string, minutes: ?int, reason: string}  $report
     *
     * @throws Refused where the step is done in the shop
     */
    public function handle(int $stepId, array $report, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Report,
            $signed->because($report['reason']),
            $this->report->part($stepId, $report, true),
        );
    }
}
