<?php

namespace App\Queries\Orders;

use App\Reading\Cut;
use App\Wording\Figures;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\ReadinessState;

/** Readiness of chosen orders, or of all open ones, as its page tells it. */
final readonly class PartsPage
{
    private const SHOWS = ['open' => 'all open', 'waits' => 'not there yet', 'stuck' => 'not ordered'];

    /**
     * @param  list<int>  $chosen  orders; none = all open ones
     * @param  string  $show  open, waits, stuck
     * @param  Cut<PartsRow>  $parts
     */
    public function __construct(private array $chosen, public string $show, private Cut $parts)
    {
    }

    public function isOfAll(): bool
    {
        return $this->chosen === [];
    }

    /** "2 orders, by rank: 1 have all parts, 1 wait, 0 are stuck." */
    public function says(): string
    {
        $orders = $this->parts->rows->unique('orderId');
        $count = fn (ReadinessState $state): int => $orders
            ->filter(fn (PartsRow $row): bool => $row->readiness->state === $state)
            ->count();
        $of = $this->isOfAll() ? 'All open orders' : Figures::count(count($this->chosen), 'order');

        return "{$of}, by rank: {$count(ReadinessState::Ready)} have all parts, {$count(ReadinessState::Waits)} wait, "
            ."{$count(ReadinessState::Stuck)} are stuck.";
    }

    /** @return array<string, string>  said by what is sent */
    public function shows(): array
    {
        return self::SHOWS;
    }

    public function address(string $show): string
    {
        return route('parts.index', array_filter([
            'orders' => $this->chosen,
            'show' => $show === 'open' ? null : $show,
        ]));
    }

    /** @return Collection<int, Collection<int, PartsRow>>  parts of one order together */
    public function byOrder(): Collection
    {
        return $this->parts->rows->groupBy('orderId');
    }
}
