<?php

namespace App\Queries\Stock;

use App\Models\Customer;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Support\Collection;

/** What can be chosen in the form by which goods come in: on a purchase, without one, a customer's own. */
final readonly class GoodsInForm
{
    /** So many open purchases can be chosen; the others are booked in from their list. */
    private const CHOICE = 100;

    /** @var array<int|string, string>  open purchases, to choose from */
    public array $purchases;

    /** @var Collection<int, string>  stores by id */
    public Collection $places;

    /** @var array<int|string, string>  whose it can be */
    public array $owners;

    /** Says that there are more purchases than can be chosen. */
    public string $more;

    /** What it is filled with; null = nothing. */
    public ?PurchaseLine $receive;

    /** @param  int  $line  of a purchase, that is filled in; 0 = none */
    public function __construct(int $line)
    {
        $this->receive = PurchaseLine::query()->with('item')->find($line);
        $purchases = PurchaseLine::query()
            ->with(['item.unit', 'order.supplier'])
            ->where('is_open', true)
            ->orderBy('expected_on')
            ->orderBy('id')
            ->limit(self::CHOICE)
            ->get();
        $this->purchases = ['' => 'none'] + $purchases
            ->mapWithKeys(fn (PurchaseLine $purchase): array => [$purchase->id => self::says($purchase)])
            ->all();
        $all = PurchaseLine::query()->where('is_open', true)->count();
        $this->more = $all > $purchases->count()
            ? "first {$purchases->count()} of {$all}: the others are booked in from Purchases"
            : '';
        $this->places = Place::offered();
        $this->owners = ['' => 'ours'] + Customer::query()
            ->whereNull('retired_at')
            ->orderBy('name')
            ->get(['id', 'name'])
            ->mapWithKeys(fn (Customer $customer): array => [$customer->id => "{$customer->name}'s own"])
            ->all();
    }

    public function quantity(): string
    {
        return $this->receive === null ? '' : Figures::amount((string) $this->receive->openQuantity());
    }

    public function price(): string
    {
        return Figures::amount($this->receive?->price);
    }

    /** "P-558/1 SS-15, 12 sh, Thu" */
    private static function says(PurchaseLine $purchase): string
    {
        $open = Figures::amount((string) $purchase->openQuantity());

        return "{$purchase->number} {$purchase->item->number}, {$open} {$purchase->item->unit->code}, "
            .When::day($purchase->expected_on);
    }
}
