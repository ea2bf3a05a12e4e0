<?php

namespace App\Queries\Orders;

use Illuminate\Http\Request;

/** What an order list is narrowed to; it stands in the address, so it can be sent to a colleague. */
final readonly class OrderFilter
{
    public const STATES = ['firm', 'released', 'running', 'built', 'closed', 'cancelled'];

    public const OPEN = 'open';

    private const READINESS = [
        'can-release' => 'can be released',
        'ready' => 'all parts there',
        'waits' => 'waits',
        'stuck' => 'stuck',
        'held' => 'held',
    ];

    private const PACE = ['late' => 'will be late', 'soon' => 'due within 3 days', 'outside' => 'outside now'];

    public function __construct(
        public string $state = self::OPEN,
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
        $state = $request->string('state', self::OPEN)->value();
        $readiness = $request->string('readiness')->value();
        $pace = $request->string('pace')->value();

        return new self(
            in_array($state, [...self::STATES, self::OPEN, 'all'], true) ? $state : self::OPEN,
            array_key_exists($readiness, self::READINESS) ? $readiness : '',
            array_key_exists($pace, self::PACE) ? $pace : '',
            mb_substr($request->string('text')->trim()->value(), 0, 60),
            $request->integer('customer'),
            $request->integer('work_centre'),
            $request->integer('item'),
            max(0, $request->integer('skip')),
        );
    }

    /** @return list<string>  open ones first */
    public static function states(): array
    {
        return [self::OPEN, ...self::STATES];
    }

    /** @return array<string, string>  said by what is sent */
    public static function readinesses(): array
    {
        return ['' => 'any', ...self::READINESS];
    }

    /** @return array<string, string>  said by what is sent */
    public static function paces(): array
    {
        return ['' => 'any', ...self::PACE];
    }

    /** Nothing narrows it. */
    public function isAny(): bool
    {
        return $this->after(0) === [];
    }

    /** @return array<string, int|string>  what stands in the address, for this state */
    public function inState(string $state): array
    {
        return $this->address($state, 0);
    }

    /** @return array<string, int|string>  what stands in the address, for the rows after the first so many */
    public function after(int $rows): array
    {
        return $this->address($this->state, $rows);
    }

    /** @return array<string, int|string> */
    private function address(string $state, int $skip): array
    {
        return array_filter([
            'state' => $state === self::OPEN ? '' : $state,
            'readiness' => $this->readiness,
            'pace' => $this->pace,
            'text' => $this->text,
            'customer' => $this->customer,
            'work_centre' => $this->workCentre,
            'item' => $this->item,
            'skip' => $skip,
        ]);
    }
}
