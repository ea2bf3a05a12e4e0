<?php

namespace App\Queries\Billing;

use App\Models\Bill;
use App\Wording\Figures;
use KeepPace\Core\Purchasing\BillState;

/** What a bill that is to be looked at comes to against what came and was agreed, in a few words. */
final readonly class BillAgainst
{
    /**
     * @param  int  $version  of the bill that was compared
     * @param  list<string>  $differences  "P-592/1: 2 pc are not here, also on bill R-2290"
     * @param  int  $charges  cents it bills beside goods and work
     */
    private function __construct(public int $version, private array $differences, private int $charges)
    {
    }

    /** @return array<int, self> by bill; of those that wait longest */
    public static function ofOldest(int $most): array
    {
        $bills = Bill::query()
            ->with('lines.purchase.item.unit', 'lines.purchase.order')
            ->where('state', BillState::Open)
            ->orderBy('billed_on')
            ->orderBy('id')
            ->limit($most)
            ->get();

        $others = AlsoBilled::of($bills->toBase());

        return $bills->mapWithKeys(fn (Bill $bill): array => [$bill->id => self::of($bill, $others)])->all();
    }

    public function isAsAgreed(): bool
    {
        return $this->differences === [];
    }

    public function says(): string
    {
        $charges = $this->charges === 0 ? [] : [Figures::money($this->charges).' € of charges'];

        return $this->isAsAgreed()
            ? implode(', ', ['as it came and was agreed', ...$charges])
            : implode('; ', [...$this->differences, ...$charges]);
    }

    private static function of(Bill $bill, AlsoBilled $others): self
    {
        $lines = BillPageLine::of($bill, $others);
        $differing = $lines->filter(fn (BillPageLine $line): bool => $line->differs() || $line->alsoSays() !== '');

        return new self(
            $bill->version,
            array_values($differing
                ->map(fn (BillPageLine $line): string => "{$line->number}: ".implode(
                    ', ',
                    array_filter([$line->differenceSays(), $line->alsoSays()]),
                ))
                ->all()),
            $lines->filter(fn (BillPageLine $line): bool => $line->isCharge())
                ->sum(fn (BillPageLine $line): int => $line->cents),
        );
    }
}
