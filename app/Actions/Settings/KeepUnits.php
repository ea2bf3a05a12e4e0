<?php

namespace App\Actions\Settings;

use App\Actions\Product\NewCode;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\RowDiff;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Unit;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Keeps the list of units: new ones, and what they are called and how fine they are counted. */
final class KeepUnits
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, TypedUnit>  $typed  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($typed): void {
                $units = Unit::query()->orderBy('id')->lockForUpdate()->get()->keyBy('id');
                $changes = new ProductChanges($ledger->booking->id);
                $said = EachRow::of('units', $typed, fn (TypedUnit $one): string => $one->id === null
                    ? $this->enter($one, $changes)
                    : $this->change($units->get($one->id) ?? self::gone(), $one, $changes));
                $changes->write();
                $ledger->says('Units: '.implode(', ', $said).'.');
            },
        ));
    }

    /** @throws Refused beside the code */
    private function enter(TypedUnit $typed, ProductChanges $changes): string
    {
        $code = NewCode::of($typed->code, 'code');
        $code->assertFree(Unit::query()->firstWhere('code_key', $code->key())?->name);
        $columns = [...$typed->columns(), 'code' => $code->typed];
        $unit = $code->enter(fn (): Unit => Unit::query()->create($columns));
        $changes->field('units', $unit->id, $unit->code, 'unit', '', 'new');

        return "{$unit->code} entered";
    }

    /**
     * @return string what was done; '' = nothing differs
     *
     * @throws Refused
     */
    private function change(Unit $unit, TypedUnit $typed, ProductChanges $changes): string
    {
        $columns = $typed->columns();
        $differ = RowDiff::of($unit->getAttributes(), $columns);
        if ($differ === []) {
            return '';
        }
        if ($unit->version !== $typed->version) {
            throw Refused::because("{$unit->code} was changed meanwhile.", 'name');
        }
        if ($typed->decimals < $unit->decimals && $this->isUsed($unit)) {
            throw Refused::because(
                "{$unit->code} is used: what is counted in it could not be said any more with fewer decimals.",
                'decimals',
            );
        }
        foreach ($differ as $column) {
            $before = $unit->getRawOriginal($column);
            $said = is_scalar($before) ? (string) $before : '';
            $changes->field('units', $unit->id, $unit->code, $column, $said, (string) $columns[$column]);
        }
        $unit->fill([...$columns, 'version' => $unit->version + 1])->save();

        return "{$unit->code} changed";
    }

    private function isUsed(Unit $unit): bool
    {
        foreach (['items', 'item_units', 'structure_lines'] as $table) {
            if (DB::table($table)->where('unit_id', $unit->id)->exists()) {
                return true;
            }
        }

        return false;
    }

    private static function gone(): never
    {
        throw Refused::because('This one is no longer there.', 'code');
    }
}
