<?php

namespace App\Queries\Purchasing;

use App\Models\Place;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use Illuminate\Support\Collection;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Purchasing\RestOfLine;

/** What a supplier can bring, to be typed down as it comes off the lorry. */
final readonly class DeliverySheet
{
    /** Rows for what nobody ordered. */
    private const OTHERS = 3;

    /**
     * @param  Collection<int, DeliveryRow>  $rows  soonest first
     * @param  Collection<int, string>  $places  stores by id
     */
    private function __construct(public Supplier $supplier, public Collection $rows, public Collection $places)
    {
    }

    /** @return self|null null = there is no such supplier */
    public static function of(int $id): ?self
    {
        $supplier = Supplier::query()->find($id);
        if ($supplier === null) {
            return null;
        }
        $lines = PurchaseLine::query()
            ->with('item.unit', 'typedUnit')
            ->where('is_open', true)
            ->whereNull('order_step_id')
            ->whereDoesntHave('parts')
            ->whereHas('order', fn ($order) => $order
                ->where('supplier_id', $supplier->id)
                ->whereIn('state', PurchaseState::COMING))
            ->orderBy('expected_on')
            ->orderBy('id')
            ->get();

        return new self(
            $supplier,
            $lines->map(fn (PurchaseLine $line): DeliveryRow => DeliveryRow::from($line)),
            Place::offered(),
        );
    }

    /** @return list<int> */
    public function others(): array
    {
        return range(0, self::OTHERS - 1);
    }

    /** @return array<string, string> */
    public function rests(): array
    {
        $rests = [];
        foreach (RestOfLine::cases() as $rest) {
            $rests[$rest->value] = $rest->label();
        }

        return $rests;
    }
}
