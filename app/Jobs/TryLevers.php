<?php

namespace App\Jobs;

use App\Models\Plan;
use App\Shop\LeverOffers;
use App\Shop\LeverTries;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Tries what could be done about a late order; somebody looks at it meanwhile, and sees each as it was tried. */
class TryLevers implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** Of its own: a search or an import takes minutes, and somebody waits for this. */
    public const QUEUE = 'levers';

    public int $timeout = 120;

    public int $tries = 1;

    public function __construct(public readonly LeverTries $asked)
    {
        $this->onQueue(self::QUEUE);
    }

    /**
     * What was tried so far, begun where nobody has. Who waits goes on with what was asked for, though the plan is
     * written anew meanwhile.
     *
     * @param  string  $of  stamp of the plan it was asked for on; '' = of the plan that stands
     */
    public static function soFar(int $order, string $of): LeverTries
    {
        $asked = LeverTries::of($order, $of);
        if ($asked !== null) {
            return $asked;
        }
        $stamp = Plan::query()->findOrFail(Plan::LIVE)->stamp;
        $kept = LeverTries::of($order, $stamp);
        if ($kept !== null && ! $kept->hasBrokenOff()) {
            return $kept;
        }
        $begun = LeverTries::begin($order, $stamp);
        self::dispatch($begun);

        return LeverTries::of($order, $stamp) ?? $begun;
    }

    public function handle(): void
    {
        $this->asked->done(LeverOffers::of($this->asked->order, $this->asked->found(...)));
    }

    public function failed(\Throwable $failure): void
    {
        $this->asked->broken();
    }
}
