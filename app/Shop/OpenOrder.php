<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** An order that is not closed, and where it stands among the others. */
final class OpenOrder
{
    private const ORDER = [
        'id', 'number', 'quantity', 'state', 'is_held', 'due_on', 'rank', 'released_at', 'owner_id',
        'is_loaded_late',
    ];

    /** Its own at first; what others wait for comes before them (`PartsDealt`). */
    public Standing $standing;

    /** @param  int  $owner  customer whose own material it is made of; 0 = none */
    private function __construct(
        public readonly int $id,
        public readonly string $number,
        public readonly string $quantity,
        public readonly OrderState $state,
        public readonly bool $isHeld,
        public readonly ?string $dueOn,
        public readonly int $rank,
        public readonly bool $isReleased,
        public readonly int $owner,
        public readonly bool $isLoadedLate,
    ) {
        $this->standing = Standing::own($this, false);
    }

    /** @return Collection<int, self> by id, in the order of their rank */
    public static function all(): Collection
    {
        $orders = DB::table('orders')
            ->whereIn('state', OrderState::OPEN)
            ->orderBy('rank')
            ->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id')
            ->select(self::ORDER);

        return Row::all($orders, self::from(...))->keyBy(fn (self $order): int => $order->id);
    }

    private static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('quantity'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            $row->textOrNull('due_on'),
            $row->int('rank'),
            $row->textOrNull('released_at') !== null,
            $row->intOrNull('owner_id') ?? 0,
            $row->flag('is_loaded_late'),
        );
    }
}
