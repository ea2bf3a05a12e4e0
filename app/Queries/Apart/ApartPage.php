<?php

namespace App\Queries\Apart;

use App\Models\Item;
use App\Models\Order;
use App\Models\OrderOutput;
use App\Shop\MadeOf;
use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\Apart;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\Need;

/** Taking one unit of an item apart: which are there, and what comes out of it at which share. */
final readonly class ApartPage
{
    /**
     * @param  Collection<int, UnitThere>  $units
     * @param  list<array<string, string>>  $parts  rows of the form: as the last was taken apart, else as it is made
     */
    private function __construct(public Item $item, public Collection $units, public array $parts)
    {
    }

    public static function of(Item $item): self
    {
        return new self($item, UnitThere::of($item->id), self::asLast($item) ?? self::asMade($item));
    }

    /** @return array<int, string> to choose from, by balance */
    public function choices(): array
    {
        $choices = [];
        foreach ($this->units as $unit) {
            $choices[$unit->balance] = $unit->says();
        }

        return $choices;
    }

    /** @return list<array<string, string>>|null  null = none was taken apart yet */
    private static function asLast(Item $item): ?array
    {
        $last = Order::query()->where('item_id', $item->id)->where('takes_apart', true)->latest('id')->first();
        if ($last === null) {
            return null;
        }

        return array_values($last->beside()->with('item.unit')->get()->map(fn (OrderOutput $one): array => self::row(
            $one->item,
            BigDecimal::of($one->baseline_quantity),
            BigDecimal::of($one->share ?? '0'),
        ))->all());
    }

    /** @return list<array<string, string>> each at a share by what it costs */
    private static function asMade(Item $item): array
    {
        $of = MadeOf::below([$item->id]);
        $needs = array_filter(
            $of->structures()->explode($item->number, BigRational::one())->needs,
            fn (Need $need): bool => $of->items[$need->line->item]->kind->hasStock(),
        );
        $quantities = [];
        foreach ($needs as $need) {
            $number = $need->line->item;
            $quantities[$number] = ($quantities[$number] ?? BigRational::zero())->plus($need->line->quantity);
        }
        $cost = RolledUp::of([$item->id])->cost;
        $worth = [];
        foreach ($quantities as $number => $quantity) {
            $worth[$number] = $cost->unit((string) $number)->total()->multipliedBy($quantity);
        }
        $items = Item::query()->with('unit')->whereIn('number', array_map(strval(...), array_keys($worth)))->get()
            ->keyBy('number');
        $rows = [];
        foreach (Apart::proposed($worth) as $number => $percent) {
            $part = $items[$number];
            $amount = $quantities[$number]->toScale($part->unit->decimals, RoundingMode::DOWN);
            $rows[] = self::row($part, $amount, $percent);
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function row(Item $item, BigDecimal $quantity, BigDecimal $percent): array
    {
        return [
            'item' => $item->number,
            'says' => "{$item->unit->code} {$item->name}",
            'quantity' => Amount::plain($quantity),
            'percent' => Amount::plain($percent),
            'grade' => 'good',
            'codes' => '',
            'hint' => match ($item->tracking) {
                Tracking::None => '',
                Tracking::Lot => 'lot',
                Tracking::Serial => 'serials, one a line',
            },
        ];
    }
}
