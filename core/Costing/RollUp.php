<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\Exploded;
use KeepPace\Core\Structure\StructureRefused;
use KeepPace\Core\Structure\Structures;

/**
 * What things cost by what they are made of, level by level: each level for its own usual lot, so that its setups are
 * spread over as many pieces as it is made in (common practice; trade.md, W33).
 */
final class RollUp
{
    private readonly Structures $structures;

    /** @var array<array-key, ExactCost> of one stock unit, at its usual lot */
    private array $units = [];

    /** @var array<array-key, true> what is being worked out, from the top down */
    private array $path = [];

    /**
     * @param  array<array-key, Making>  $making  by item; what is not in it is not made here
     * @param  array<array-key, BigRational>  $bought  cents for one stock unit of what is not made, by item
     * @param  array<array-key, true>  $phantoms
     */
    public function __construct(private readonly array $making, private readonly array $bought, array $phantoms = [])
    {
        $this->structures = new Structures(
            array_map(fn (Making $making): array => $making->lines, $making),
            $phantoms,
        );
    }

    /**
     * @param  BigDecimal|null  $pieces  above 0; null = the usual lot
     *
     * @throws StructureRefused on a loop, which is named
     */
    public function of(string $item, ?BigDecimal $pieces = null): RolledCost
    {
        if (isset($this->path[$item])) {
            throw StructureRefused::loop([...array_map(strval(...), array_keys($this->path)), $item]);
        }
        $this->path[$item] = true;
        $making = $this->making[$item] ?? new Making([], [], BigDecimal::one());
        $pieces ??= $making->usualLot;
        $lines = [];
        $exploded = $this->structures->explode($item, BigRational::of($pieces));
        foreach ($exploded->needs as $need) {
            $unit = $need->line->isCharged ? $this->unit($need->line->item) : ExactCost::nothing();
            $lines[] = new RolledLine($need, $unit, $unit->times($need->quantity));
        }
        $work = ExactCost::nothing();
        foreach ($making->steps as $step) {
            $work = $work->plus($step->of($pieces));
        }
        foreach ($exploded->phantoms as $use) {
            foreach ($this->making[$use->item]->steps ?? [] as $step) {
                $work = $work->plus($step->within($use->takes)->of($pieces));
            }
        }
        unset($this->path[$item]);
        $rolled = new RolledCost($pieces, $lines, $work);

        return new RolledCost($pieces, $lines, $work, $this->back($making, $exploded, $rolled));
    }

    /** @return list<RolledBack> */
    private function back(Making $making, Exploded $exploded, RolledCost $rolled): array
    {
        $back = [];
        foreach ($making->comesBack as $line) {
            $back[] = [$line, $line->for(BigRational::of($rolled->pieces))];
        }
        foreach ($exploded->phantoms as $use) {
            foreach ($this->making[$use->item]->comesBack ?? [] as $line) {
                $back[] = [$line, $line->for($use->takes->for(BigRational::of($rolled->pieces)))];
            }
        }

        return RolledBack::all($rolled, $making->worth ?? BigDecimal::zero(), $back);
    }

    /**
     * Of one stock unit at its usual lot.
     *
     * @throws StructureRefused on a loop
     */
    public function unit(string $item): ExactCost
    {
        return $this->units[$item] ??= isset($this->making[$item])
            ? $this->of($item)->unit()
            : ExactCost::of(material: $this->bought[$item] ?? 0);
    }
}
