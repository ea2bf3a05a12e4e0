<?php

namespace App\Shop;

use Illuminate\Support\Str;
use KeepPace\Core\Scheduling\Why\Cause;

/** Some of an order's time to its completion, and what it goes into. */
final readonly class WhyRow
{
    /**
     * @param  int  $from  UTC minute
     * @param  int  $to  UTC minute
     * @param  int  $minutes  of it
     * @param  string  $order  number of the order whose step it is
     */
    public function __construct(
        public int $from,
        public int $to,
        public int $minutes,
        private Cause $cause,
        public string $says,
        private string $order,
        private string $step,
    ) {
    }

    /** With what went into the same thing later on. */
    public function with(self $later): self
    {
        return new self(
            $this->from,
            $later->to,
            $this->minutes + $later->minutes,
            $this->cause,
            $this->says,
            $this->order,
            $this->step,
        );
    }

    /** How it is drawn. */
    public function style(): string
    {
        return 'cause-'.Str::slug($this->cause->value);
    }

    /** "231 20 Turning"; the order's own number goes without saying. */
    public function stepSays(string $order): string
    {
        return $this->order === $order ? $this->step : "{$this->order} {$this->step}";
    }
}
