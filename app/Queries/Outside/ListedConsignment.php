<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A consignment as the list shows it. */
final readonly class ListedConsignment
{
    /** So many are shown. */
    private const NEWEST = 20;

    private function __construct(
        public int $id,
        public string $number,
        public string $supplier,
        public CarbonImmutable $sentAt,
        public int $lines,
        public BigDecimal $sent,
        public BigDecimal $there,
    ) {
    }

    /** @return Collection<int, self> newest first */
    public static function newest(): Collection
    {
        $newest = DB::table('consignments AS k')
            ->join('suppliers AS v', 'v.id', 'k.supplier_id')
            ->orderByDesc('k.id')
            ->limit(self::NEWEST)
            ->select(['k.id', 'k.number', 'v.name AS supplier', 'k.sent_at'])
            ->join('consignment_lines AS l', 'l.consignment_id', 'k.id')
            ->groupBy('k.id', 'k.number', 'v.name', 'k.sent_at')
            ->selectRaw('COUNT(*) AS `lines`, SUM(l.sent) AS sent, SUM(l.there) AS there');

        return Row::all($newest, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('supplier'),
            $row->moment('sent_at'),
            $row->int('lines'),
            $row->decimal('sent'),
            $row->decimal('there'),
        ));
    }

    /** "taken back", "all there", "part of it back", "back" */
    public function says(): string
    {
        return match (true) {
            $this->sent->isZero() => 'taken back',
            $this->there->isZero() => 'back',
            $this->there->isEqualTo($this->sent) => 'all there',
            default => 'part of it back',
        };
    }
}
