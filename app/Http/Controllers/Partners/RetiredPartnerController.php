<?php

namespace App\Http\Controllers\Partners;

use App\Actions\Partners\RetirePartner;
use App\Http\Controllers\Controller;
use App\Http\Requests\VersionRequest;
use App\Models\PartnerKind;
use Illuminate\Http\RedirectResponse;

/** Customers and suppliers that are not dealt with any more. */
class RetiredPartnerController extends Controller
{
    public function __construct(private readonly RetirePartner $retire)
    {
    }

    public function store(VersionRequest $request, int $partner, PartnerKind $kind): RedirectResponse
    {
        return $this->set($request, $kind, $partner, true);
    }

    public function destroy(VersionRequest $request, int $partner, PartnerKind $kind): RedirectResponse
    {
        return $this->set($request, $kind, $partner, false);
    }

    private function set(VersionRequest $request, PartnerKind $kind, int $partner, bool $retire): RedirectResponse
    {
        $booking = $this->retire->handle($kind, $partner, $request->integer('version'), $retire, $request->signed());

        return $this->done(to_route("{$kind->value}.show", $partner), $booking);
    }
}
