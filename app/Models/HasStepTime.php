<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;

/** What a step of a routing and of an order take alike. */
trait HasStepTime
{
    public function time(): StepTime
    {
        return new StepTime(
            BigDecimal::of($this->setup_minutes),
            RunBasis::from($this->run_basis),
            BigDecimal::of($this->run_rate),
            BigDecimal::of($this->batch),
            $this->machine_minutes === null ? null : BigDecimal::of($this->machine_minutes),
        );
    }
}
