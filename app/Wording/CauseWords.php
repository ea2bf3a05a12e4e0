<?php

namespace App\Wording;

use KeepPace\Core\Scheduling\Why\Cause;

/** What an order's time goes into, as people say it. */
final class CauseWords
{
    /**
     * @param  string  $where  work centre, supplier or part
     * @param  string  $by  orders that have the machine
     */
    public static function of(Cause $cause, string $where, string $by = ''): string
    {
        return match ($cause) {
            Cause::StepTime => $where === '' ? 'its own steps' : "work at {$where}",
            Cause::ClosedTime => 'closed time',
            Cause::MachineBusy => $where.' busy'.($by === '' ? '' : " with {$by}"),
            Cause::Crew => "people missing at {$where}",
            Cause::Material => $where === '' ? 'material' : "waits for {$where}",
            Cause::HeldBack => 'held back to its date',
            Cause::Supplier => $where === '' ? 'the supplier' : $where,
            Cause::Sequence => "{$where} free, but something else is planned first",
        };
    }
}
