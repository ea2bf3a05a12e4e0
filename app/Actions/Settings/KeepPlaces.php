<?php

namespace App\Actions\Settings;

use App\Actions\Product\NewCode;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Place;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\PlaceKind;

/** Keeps the list of places in the stores: new ones, what they are called, and which are not used any more. */
final class KeepPlaces
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, TypedPlace>  $typed  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($typed): void {
                $places = Place::stores()->lockForUpdate()->get()->keyBy('id');
                $changes = new ProductChanges($ledger->booking->id);
                $said = EachRow::of('places', $typed, fn (TypedPlace $one): string => $one->id === null
                    ? $this->enter($one, $changes)
                    : $this->change($places->get($one->id) ?? self::gone(), $one, $changes));
                $changes->write();
                $ledger->says('Places: '.implode(', ', $said).'.');
            },
        ));
    }

    /** @throws Refused beside the code */
    private function enter(TypedPlace $typed, ProductChanges $changes): string
    {
        $code = NewCode::of($typed->code, 'code');
        $code->assertFree(Place::query()->firstWhere('code_key', $code->key())?->name);
        $columns = ['code' => $code->typed, 'name' => $typed->name, 'kind' => PlaceKind::Store->value];
        $place = $code->enter(fn (): Place => Place::query()->create($columns));
        $changes->field('places', $place->id, $place->code, 'place', '', 'new');

        return "{$place->code} entered";
    }

    /**
     * @return string what was done; '' = nothing differs
     *
     * @throws Refused
     */
    private function change(Place $place, TypedPlace $typed, ProductChanges $changes): string
    {
        $wasRetired = $place->retired_at !== null;
        if ($place->name === $typed->name && $wasRetired === $typed->isRetired) {
            return '';
        }
        if ($place->version !== $typed->version) {
            throw Refused::because("{$place->code} was changed meanwhile.", 'name');
        }
        if ($typed->isRetired && ! $wasRetired) {
            $this->assertEmpty($place);
        }
        if ($place->name !== $typed->name) {
            $changes->field('places', $place->id, $place->code, 'name', $place->name, $typed->name);
        }
        if ($wasRetired !== $typed->isRetired) {
            $words = $wasRetired ? ['yes', 'no'] : ['no', 'yes'];
            $changes->field('places', $place->id, $place->code, 'retired', ...$words);
            $place->retired_at = $typed->isRetired ? now()->toImmutable() : null;
        }
        $place->fill(['name' => $typed->name, 'version' => $place->version + 1])->save();

        return "{$place->code} changed";
    }

    /** @throws Refused with what lies there */
    private function assertEmpty(Place $place): void
    {
        $lies = DB::table('balances AS b')
            ->join('items AS i', 'i.id', 'b.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('b.place_id', $place->id)
            ->where('b.quantity', '>', 0)
            ->orderBy('i.number')
            ->limit(4)
            ->select(['i.number', 'u.code AS unit', 'b.quantity']);
        $said = Row::all($lies, fn (Row $row): Row => $row)->map(
            fn (Row $row): string => Amount::plain($row->text('quantity'))
                ." {$row->text('unit')} {$row->text('number')}",
        );
        if ($said->isNotEmpty()) {
            throw Refused::because("There lie {$said->join(', ', ' and ')}. Move them first.", 'is_retired');
        }
    }

    private static function gone(): never
    {
        throw Refused::because('This one is no longer there.', 'code');
    }
}
