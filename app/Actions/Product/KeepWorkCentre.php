<?php

namespace App\Actions\Product;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Family;
use App\Models\WorkCentre;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Enters a work centre, or changes one; the plan follows. Released orders keep the rates they were released with. */
final class KeepWorkCentre
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused beside the code */
    public function enter(string $code, TypedCentre $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($code, $typed): void {
                $new = NewCode::of($code, 'code');
                $new->assertFree(WorkCentre::query()->firstWhere('code_key', $new->key())?->name);
                $columns = [...$typed->columns(), 'code' => $new->typed];
                $centre = $new->enter(fn (): WorkCentre => WorkCentre::query()->create($columns));
                $changes = new ProductChanges($ledger->booking->id);
                $changes->field('work_centres', $centre->id, $centre->code, 'work centre', '', 'new');
                $this->table($centre, $typed, $changes);
                $changes->write();
                $ledger->says("Work centre {$centre->code} {$centre->name} entered.");
            },
        ));
    }

    /** @throws Refused when another changed it meanwhile, or nothing differs */
    public function change(int $id, int $version, TypedCentre $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($id, $version, $typed): void {
                $centre = WorkCentre::query()->lockForUpdate()->findOrFail($id);
                if ($centre->version !== $version) {
                    throw Refused::because(
                        "{$centre->code} was changed meanwhile. Nothing of yours is lost: look at what is there now, "
                            .'then send again.',
                    );
                }
                $changes = new ProductChanges($ledger->booking->id);
                $differs = ChangedFields::fill($centre, 'work_centres', $centre->code, $typed->columns(), $changes);
                if (! $this->table($centre, $typed, $changes) && ! $differs) {
                    throw Refused::because('Nothing differs from what is there.');
                }
                $changes->write();
                $centre->version++;
                $centre->save();
                $ledger->says("Work centre {$centre->code} {$centre->name} changed.");
            },
        ));
    }

    /** The minutes from family to family; what is left empty is said no more. */
    private function table(WorkCentre $centre, TypedCentre $typed, ProductChanges $changes): bool
    {
        $differs = false;
        $names = Family::query()->pluck('code', 'id');
        foreach ($typed->changeovers as $from => $row) {
            foreach ($row as $to => $minutes) {
                $pair = ['work_centre_id' => $centre->id, 'from_family_id' => $from, 'to_family_id' => $to];
                $was = DB::table('changeovers')->where($pair)->value('minutes');
                $before = is_numeric($was) ? (string) $was : '';
                if (! isset($names[$from], $names[$to]) || $before === (string) $minutes) {
                    continue;
                }
                $differs = true;
                DB::table('changeovers')->where($pair)->delete();
                $minutes === null ?: DB::table('changeovers')->insert([...$pair, 'minutes' => $minutes]);
                $what = "from {$names[$from]} to {$names[$to]}";
                $changes->field('work_centres', $centre->id, $centre->code, $what, $before, (string) $minutes);
            }
        }

        return $differs;
    }
}
