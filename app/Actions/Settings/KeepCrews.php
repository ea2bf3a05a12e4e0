<?php

namespace App\Actions\Settings;

use App\Actions\Product\ChangedFields;
use App\Actions\Product\NewCode;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use KeepPace\Core\Refused;

/** Keeps who works at which work centre, by which calendar; the plan follows. Who left is not planned with any more. */
final class KeepCrews
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, TypedWorker>  $typed  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($typed): void {
                $people = Person::query()
                    ->whereNotNull('number')
                    ->orderBy('id')
                    ->lockForUpdate()
                    ->get()
                    ->keyBy('id');
                $changes = new ProductChanges($ledger->booking->id);
                $said = EachRow::of('crews', $typed, fn (TypedWorker $one): string => $one->id === null
                    ? $this->enter($one, $changes)
                    : $this->change($people->get($one->id) ?? self::gone(), $one, $changes));
                $changes->write();
                $ledger->says('Crews: '.implode(', ', $said).'.');
            },
        ));
    }

    /** @throws Refused beside the number */
    private function enter(TypedWorker $typed, ProductChanges $changes): string
    {
        $code = NewCode::of($typed->number, 'code');
        $code->assertFree(Person::query()->firstWhere('number_key', $code->key())?->name);
        $columns = [...$typed->columns(), 'number' => $code->typed];
        $person = $code->enter(fn (): Person => Person::query()->create($columns));
        $changes->field('people', $person->id, $code->typed, 'person', '', $typed->name);

        return "{$typed->name} entered";
    }

    /**
     * @return string what was done; '' = nothing differs
     *
     * @throws Refused
     */
    private function change(Person $person, TypedWorker $typed, ProductChanges $changes): string
    {
        $called = $person->name;
        $columns = $typed->columns();
        if (! ChangedFields::fill($person, 'people', (string) $person->number, $columns, $changes)) {
            return '';
        }
        if ($person->version !== $typed->version) {
            throw Refused::because("{$called} was changed meanwhile.", 'name');
        }
        $person->version++;
        $person->save();

        return "{$person->name} changed";
    }

    private static function gone(): never
    {
        throw Refused::because('This person is no longer there.', 'code');
    }
}
