<?php

namespace App\Queries\Orders;

use App\Models\Order;
use App\Models\RevisionKind;
use App\Shop\MadeOf;
use KeepPace\Core\Planning\OrderDeed;

/** That a firm order is a copy of a structure or a routing that is in force no more. */
final readonly class NewerMaster
{
    /**
     * @param  string|null  $instead  of the revision it was copied from; null = it had none
     */
    private function __construct(private RevisionKind $kind, private string $revision, private ?string $instead)
    {
    }

    /** @return list<self> nothing of what can no longer be copied anew */
    public static function of(int $id): array
    {
        $order = Order::query()->findOrFail($id);
        if (OrderDeed::CopyAnew->whyNot($order->number, $order->state, false) !== null) {
            return [];
        }

        return array_values(array_filter([
            self::ofKind(RevisionKind::Structure, $order->item_id, $order->structure_id),
            self::ofKind(RevisionKind::Routing, $order->item_id, $order->routing_id),
        ]));
    }

    private static function ofKind(RevisionKind $kind, int $item, ?int $copied): ?self
    {
        $now = array_key_first(MadeOf::inForce($kind, [$item]));
        if ($now === null || $now === $copied) {
            return null;
        }
        $heads = $kind->model()::query()->whereKey(array_filter([$now, $copied]))->get()->keyBy('id');
        $revision = fn (?int $of): ?string => $heads->get($of ?? 0)?->revision;

        return new self($kind, (string) $revision($now), $revision($copied));
    }

    /** "structure revision C is in force instead of B" */
    public function says(): string
    {
        return "{$this->kind->label()} revision {$this->revision} is in force"
            .($this->instead === null ? '' : " instead of {$this->instead}");
    }
}
