<?php

namespace App\Queries\Orders;

use Illuminate\Http\Request;

/** What an order list is narrowed to; it stands in the address, so it can be sent to a colleague. */
final readonly class OrderFilter
{
    public const STATES = ['firm', 'released', 'running', 'built', 'closed', 'cancelled'];

    public function __construct(
        public string $state = 'open',
        public string $readiness = '',
        public string $pace = '',
        public string $text = '',
        public int $customer = 0,
        public int $workCentre = 0,
        public int $item = 0,
        public int $skip = 0,
    ) {
    }

    public static function from(Request $request): self
    {
        $state = $request->string('state', 'open')->value();
        $readiness = $request->string('readiness')->value();

        return new self(
            in_array($state, [...self::STATES, 'open', 'all'], true) ? $state : 'open',
            in_array($readiness, ['ready', 'waits', 'stuck', 'can-release', 'held'], true) ? $readiness : '',
            in_array($request->string('pace')->value(), ['late', 'soon', 'outside'], true)
                ? $request->string('pace')->value()
                : '',
            mb_substr($request->string('text')->trim()->value(), 0, 60),
            $request->integer('customer'),
            $request->integer('work_centre'),
            $request->integer('item'),
            max(0, $request->integer('skip')),
        );
    }
}
