<?php

namespace App\Actions\Orders;

use App\Models\Item;
use App\Models\Routing;
use App\Models\RoutingStep;
use App\Shop\Services;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Planning\StepSequence;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\PhantomUse;
use KeepPace\Core\Structure\Takes;

/** The steps an order is copied from: the routing of what it makes, and before its steps those of phantoms in it. */
final readonly class CopiedSteps
{
    /** @param  array<string, array<int, RoutingStep>>  $steps  by number, by phantom's id; '' = the product */
    private function __construct(public StepSequence $sequence, private array $steps)
    {
    }

    /**
     * @param  list<PhantomUse>  $phantoms  items by id
     *
     * @throws Refused where the numbers leave no room
     */
    public static function of(Masters $masters, ?Routing $routing, array $phantoms): self
    {
        $all = ['' => self::steps($routing)];
        foreach ($phantoms as $use) {
            $all[$use->item] ??= self::steps($masters->routing(Item::query()->findOrFail((int) $use->item)));
        }
        $numbers = array_map(array_keys(...), $all);
        unset($numbers['']);
        $named = array_filter($numbers);

        return new self(StepSequence::of(array_keys($all['']), $named === [] ? [] : $phantoms, $numbers), $all);
    }

    /** @return list<array<string, mixed>> columns of the order's steps */
    public function rows(BigDecimal $quantity): array
    {
        $rows = [];
        $services = Services::of(array_map(
            fn (RoutingStep $step): ?int => $step->service_item_id,
            array_merge(...array_values($this->steps)),
        ));
        foreach ($this->sequence->steps as $place) {
            $master = $this->steps[$place->use->item ?? ''][$place->number];
            $row = [
                ...$master->only(OrderCopy::STEP),
                ...$services->columns($master->service_item_id, $master->supplier_id, $quantity),
            ];
            $takes = $place->use?->takes;
            $rows[] = [
                'number' => $place->as,
                'source_step_id' => $master->id,
                ...$row,
                ...$takes === null ? [] : self::within($master, (string) $row['price'], $takes, $quantity),
            ];
        }

        return $rows;
    }

    /** @return array<int, RoutingStep> by number */
    private static function steps(?Routing $routing): array
    {
        return $routing?->steps()->get()->keyBy('number')->all() ?? [];
    }

    /**
     * What is another for the phantom's part of a piece.
     *
     * @param  string  $price  euros for one of the phantom, of what a supplier does
     * @return array<string, mixed>
     */
    private static function within(RoutingStep $master, string $price, Takes $takes, BigDecimal $quantity): array
    {
        $isEach = $takes->basis === LineBasis::PerUnit;
        if ($isEach && $takes->ratio->isEqualTo(1)) {
            return [];
        }
        $time = $isEach ? $master->time()->perPiece($takes->ratio) : $master->time()->once($takes->ratio);
        // a price is by the piece: what is taken once for the order is shared among its pieces
        $each = $isEach ? $takes->ratio : $takes->ratio->dividedBy($quantity);

        return [
            'setup_minutes' => (string) $time->setup,
            'run_basis' => $time->basis->value,
            'run_rate' => (string) $time->rate,
            'batch' => (string) ($time->batch ?? BigDecimal::one()),
            'machine_minutes' => $time->machine === null ? null : (string) $time->machine,
            'price' => (string) BigRational::of($price)
                ->multipliedBy($each)
                ->toScale(6, RoundingMode::HALF_UP),
            'service_item_id' => null, // its price is by the piece of the phantom, and is ordered as it stands here
            'transfer_quantity' => null, // lots of it are not lots of the product
        ];
    }
}
