<?php

namespace App\Queries\Billing;

use App\Models\BookingKind;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Reading\Row;
use App\Wording\When;
use Brick\Math\RoundingMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;

/** What a supplier can bill, to be typed down from the paper. */
final readonly class BillSheet
{
    /** Rows for charges. */
    private const CHARGES = 3;

    private const DELIVERIES = 60;

    /**
     * @param  Collection<int, BillSheetRow>  $rows  came, and not billed; below zero: went back, and not credited
     * @param  array<int|string, string>  $deliveries  a charge can lie on, newest first
     */
    private function __construct(public Supplier $supplier, public Collection $rows, public array $deliveries)
    {
    }

    public static function of(int $id, string $today): self
    {
        $supplier = Supplier::query()->findOrFail($id);
        $owed = NotBilled::on($today, $supplier->id)->filter(fn (NotBilled $one): bool => ! $one->owed->isZero());
        $lines = PurchaseLine::query()
            ->with('typedUnit', 'item.unit')
            ->whereKey($owed->pluck('lineId'))
            ->get()
            ->keyBy('id');

        return new self(
            $supplier,
            $owed->map(fn (NotBilled $one): BillSheetRow => self::row($one, $lines[$one->lineId]))->values(),
            self::deliveries(),
        );
    }

    /** @return list<int> */
    public function charges(): array
    {
        return range(0, self::CHARGES - 1);
    }

    private static function row(NotBilled $owed, PurchaseLine $line): BillSheetRow
    {
        return new BillSheetRow(
            $line->id,
            $owed,
            $line->typedUnit->code ?? $line->item->unit->code,
            Amount::plain($line->asTyped($owed->owed)),
            Amount::plain($line->ratio()->multipliedBy($owed->each())->toScale(
                6,
                RoundingMode::HALF_UP,
            )),
        );
    }

    /** @return array<int|string, string> */
    private static function deliveries(): array
    {
        $bookings = DB::table('bookings AS b')
            ->join('booking_says AS s', 's.booking_id', 'b.id')
            ->where('b.kind', BookingKind::GoodsIn->value)
            ->whereNotExists(
                fn (Builder $taken): Builder => $taken->from('bookings AS r')->whereColumn('r.reverses_id', 'b.id'),
            )
            ->orderByDesc('b.id')
            ->limit(self::DELIVERIES)
            ->select(['b.id', 'b.booked_on', 's.says']);
        $offered = ['' => 'the goods on this bill'];
        foreach (Row::all($bookings, fn (Row $row): Row => $row) as $row) {
            $offered[$row->int('id')] = When::day($row->text('booked_on'))
                .': '.mb_strimwidth($row->text('says'), 0, 60, '…');
        }

        return $offered;
    }
}
