<?php

namespace App\Actions\Partners;

use App\Actions\Product\ChangedFields;
use App\Actions\Product\NewCode;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Partner;
use App\Models\PartnerKind;
use KeepPace\Core\Refused;

/** Enters a customer or supplier, or changes one. */
final class KeepPartner
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused beside the number */
    public function enter(PartnerKind $kind, string $number, TypedPartner $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($kind, $number, $typed): void {
                $code = NewCode::of($number, 'number');
                $code->assertFree($kind->known($code->key())?->label());
                $partner = $kind->begin()->fill([...$typed->columns(), 'number' => $code->typed]);
                $code->enter(fn (): bool => $partner->save());
                $changes = new ProductChanges($ledger->booking->id);
                $changes->field($kind->value, $partner->id, $partner->number, $kind->label(), '', 'new');
                (new Contacts($kind, $changes))->replace($partner, $typed->contacts);
                $changes->write();
                $ledger->says(ucfirst($kind->label())." {$partner->label()} entered.");
            },
        ));
    }

    /** @throws Refused when another changed it meanwhile, or nothing differs */
    public function change(PartnerKind $kind, int $id, int $version, TypedPartner $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($kind, $id, $version, $typed): void {
                $partner = self::held($kind, $id, $version);
                $changes = new ProductChanges($ledger->booking->id);
                $differs = ChangedFields::fill($partner, $kind->value, $partner->number, $typed->columns(), $changes);
                $differs = (new Contacts($kind, $changes))->replace($partner, $typed->contacts) || $differs;
                if (! $differs) {
                    throw Refused::because('Nothing differs from what is there.');
                }
                $changes->write();
                $partner->version++;
                $partner->save();
                $ledger->says(ucfirst($kind->label())." {$partner->label()} changed.");
            },
        ));
    }

    /**
     * As somebody saw it.
     *
     * @throws Refused when it was changed by another meanwhile
     */
    public static function held(PartnerKind $kind, int $id, int $version): Partner
    {
        $partner = $kind->lock($id);
        if ($partner->version !== $version) {
            throw Refused::because(
                "{$partner->number} was changed meanwhile. Nothing of yours is lost: look at what is there now, then "
                    .'send again.',
            );
        }

        return $partner;
    }
}
