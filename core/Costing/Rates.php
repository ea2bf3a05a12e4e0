<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Rates of a work centre, as frozen on a step at release. */
final readonly class Rates
{
    /**
     * @param  string  $labour  euros per labour hour
     * @param  string  $machine  euros per machine hour
     * @param  string  $overhead  per cent of labour
     */
    public function __construct(public string $labour, public string $machine, public string $overhead)
    {
    }

    /**
     * What booked time costs; each rounded once, half up, to the cent.
     *
     * @param  int  $labourMinutes  crew included: two people for ten minutes are twenty
     * @return array{labour: int, machine: int, overhead: int} cents
     */
    public function cost(int $labourMinutes, int $machineMinutes): array
    {
        $labour = self::hours($labourMinutes, $this->labour);

        return [
            'labour' => $labour,
            'machine' => self::hours($machineMinutes, $this->machine),
            'overhead' => BigDecimal::of($labour)
                ->multipliedBy($this->overhead)
                ->dividedBy(100, 0, RoundingMode::HALF_UP)
                ->toInt(),
        ];
    }

    private static function hours(int $minutes, string $rate): int
    {
        return BigDecimal::of($rate)
            ->multipliedBy(100)
            ->multipliedBy($minutes)
            ->dividedBy(60, 0, RoundingMode::HALF_UP)
            ->toInt();
    }
}
