<?php

namespace App\Actions\Orders;

use App\Models\Item;
use App\Models\Routing;
use App\Models\RoutingStep;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Planning\StepSequence;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;
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
        foreach ($this->sequence->steps as $place) {
            $master = $this->steps[$place->use->item ?? ''][$place->number];
            $rows[] = [
                'number' => $place->as,
                'source_step_id' => $master->id,
                ...$master->only(OrderCopy::STEP),
                ...$place->use === null ? [] : self::within($master, $place->use->takes, $quantity),
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
     * @return array<string, mixed>
     */
    private static function within(RoutingStep $master, Takes $takes, BigDecimal $quantity): array
    {
        $isEach = $takes->basis === LineBasis::PerUnit;
        if ($isEach && $takes->ratio->isEqualTo(1)) {
            return [];
        }
        $time = new StepTime(
            BigDecimal::of($master->setup_minutes),
            RunBasis::from($master->run_basis),
            BigDecimal::of($master->run_rate),
            BigDecimal::of($master->batch),
            $master->machine_minutes === null ? null : BigDecimal::of($master->machine_minutes),
        );
        $time = $isEach ? $time->perPiece($takes->ratio) : $time->once($takes->ratio);
        // a price is by the piece: what is taken once for the order is shared among its pieces
        $each = $isEach ? $takes->ratio : $takes->ratio->dividedBy($quantity);

        return [
            'setup_minutes' => (string) $time->setup,
            'run_basis' => $time->basis->value,
            'run_rate' => (string) $time->rate,
            'batch' => (string) ($time->batch ?? BigDecimal::one()),
            'machine_minutes' => $time->machine === null ? null : (string) $time->machine,
            'price' => (string) BigRational::of($master->price)
                ->multipliedBy($each)
                ->toScale(6, RoundingMode::HALF_UP),
            'transfer_quantity' => null, // lots of it are not lots of the product
        ];
    }
}
