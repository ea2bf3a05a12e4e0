<?php

namespace App\Actions\Partners;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\PartnerKind;
use App\Shop\PartnerInUse;
use KeepPace\Core\Refused;

/** Retires a customer or supplier nothing is open with, or brings one back. What was with them is never deleted. */
final class RetirePartner
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused with all that is still open */
    public function handle(PartnerKind $kind, int $id, int $version, bool $retire, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($kind, $id, $version, $retire): void {
                $partner = KeepPartner::held($kind, $id, $version);
                if ($retire === ($partner->retired_at !== null)) {
                    throw Refused::because("{$partner->label()} is ".($retire ? 'retired' : 'dealt with').' already.');
                }
                $open = $retire ? PartnerInUse::says($kind, $id) : [];
                if ($open !== []) {
                    throw new Refused(["{$partner->label()} is not done with.", ...$open]);
                }
                $words = $retire ? ['no', 'yes'] : ['yes', 'no'];
                $changes = new ProductChanges($ledger->booking->id);
                $changes->field($kind->value, $id, $partner->number, 'retired', ...$words);
                $changes->write();
                $partner->retired_at = $retire ? now()->toImmutable() : null;
                $partner->version++;
                $partner->save();
                $ledger->says("{$partner->label()} is ".($retire ? 'retired.' : 'dealt with again.'));
            },
        ));
    }
}
