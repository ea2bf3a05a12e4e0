<?php

namespace App\Actions\Usage;

use App\Models\Person;
use App\Models\Slip;
use Illuminate\Support\Facades\DB;

/** Gives a draft up; it stays readable. */
final class DropSlip
{
    public function handle(int $id, int $version, Person $by): Slip
    {
        return DB::transaction(function () use ($id, $version, $by): Slip {
            $slip = KeepSlip::open($id, $version);
            $slip->state = 'dropped';

            return KeepSlip::changed($slip, $by);
        }, attempts: 5);
    }
}
