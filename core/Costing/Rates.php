<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** Rates of a work centre, as frozen on a step at release. */
final readonly class Rates
{
    /**
     * @param  string  $labour  euros per labour hour
     * @param  string  $machine  euros per machine hour
     * @param  string  $overhead  per cent of labour
     * @param  string  $overheadHour  euros per machine hour, on top
     * @param  string  $overheadPiece  euros per piece that was counted, scrap too, on top
     */
    public function __construct(
        public string $labour,
        public string $machine,
        public string $overhead,
        public string $overheadHour = '0',
        public string $overheadPiece = '0',
    ) {
    }

    /**
     * What booked time and counted pieces cost; each kind rounded once, half up, to the cent. The per cent are of
     * labour as it was rounded, so that who adds up by hand finds the same.
     *
     * @param  int  $labourMinutes  crew included: two people for ten minutes are twenty
     * @return array{labour: int, machine: int, overhead: int} cents
     */
    public function cost(int $labourMinutes, int $machineMinutes, BigDecimal $pieces): array
    {
        $labour = self::rounded(self::hours($labourMinutes, $this->labour));
        $overhead = BigRational::of($labour)
            ->multipliedBy($this->overhead)
            ->dividedBy(100)
            ->plus(self::hours($machineMinutes, $this->overheadHour))
            ->plus($pieces->multipliedBy($this->overheadPiece)->multipliedBy(100));

        return [
            'labour' => $labour,
            'machine' => self::rounded(self::hours($machineMinutes, $this->machine)),
            'overhead' => self::rounded($overhead),
        ];
    }

    private static function rounded(BigRational $cents): int
    {
        return $cents->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    /** Exact cents. */
    private static function hours(int $minutes, string $rate): BigRational
    {
        return BigRational::of($rate)
            ->multipliedBy(100)
            ->multipliedBy($minutes)
            ->dividedBy(60);
    }
}
