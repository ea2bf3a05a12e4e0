<?php

namespace App\Queries\Board;

/** One thing an order hangs on, or that hangs on it. */
final readonly class Thread
{
    public int $order;

    /**
     * @param  string  $what  "C-1042/1 Brightwater", "8 Bearing 25 mm"
     * @param  string  $says  what of it and when
     * @param  string  $address  where it stands
     * @param  bool  $isBehind  it is late, overdue or not ordered
     * @param  int  $order  smaller ones stand first
     */
    public function __construct(
        public string $what,
        public string $says,
        public string $address,
        public bool $isBehind = false,
        int $order = 1,
    ) {
        $this->order = $isBehind ? 0 : $order;
    }
}
