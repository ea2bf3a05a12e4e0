<?php

namespace App\Http\Controllers\Partners;

use App\Actions\Partners\KeepPartner;
use App\Http\Controllers\Controller;
use App\Http\Requests\Partners\NewPartnerRequest;
use App\Http\Requests\Partners\PartnerRequest;
use App\Models\PartnerKind;
use App\Queries\Partners\CustomerPage;
use App\Queries\Partners\PartnerFilter;
use App\Queries\Partners\PartnerList;
use App\Queries\Partners\SupplierPage;
use App\View\PartnerForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use KeepPace\Core\Naming\Code;

/** Customers and suppliers: all of them, one with what is open, a new one, a change. */
class PartnerController extends Controller
{
    public function index(Request $request, PartnerKind $kind): View
    {
        $filter = PartnerFilter::from($request);

        return view('partners.index', [
            'kind' => $kind,
            'filter' => $filter,
            'list' => PartnerList::of($kind, $filter),
        ]);
    }

    public function show(int $partner, PartnerKind $kind): View
    {
        return match ($kind) {
            PartnerKind::Customer => view('partners.customer', ['page' => CustomerPage::of($partner), 'kind' => $kind]),
            PartnerKind::Supplier => view('partners.supplier', ['page' => SupplierPage::of($partner), 'kind' => $kind]),
        };
    }

    public function create(PartnerKind $kind): View
    {
        return view('partners.form', ['kind' => $kind, 'form' => PartnerForm::blank($kind)]);
    }

    public function store(NewPartnerRequest $request, PartnerKind $kind, KeepPartner $keep): RedirectResponse
    {
        $number = $request->validated('number');
        $booking = $keep->enter($kind, $number, $request->partner(), $request->signed());
        $partner = $kind->known(Code::keyOf($number));

        return $this->done(to_route("{$kind->value}.show", $partner->id ?? 0), $booking);
    }

    public function edit(int $partner, PartnerKind $kind): View
    {
        return view('partners.form', ['kind' => $kind, 'form' => PartnerForm::of($kind, $kind->find($partner))]);
    }

    public function update(
        PartnerRequest $request,
        int $partner,
        PartnerKind $kind,
        KeepPartner $keep,
    ): RedirectResponse {
        $version = $request->integer('version');
        $booking = $keep->change($kind, $partner, $version, $request->partner(), $request->signed());

        return $this->done(to_route("{$kind->value}.show", $partner), $booking);
    }
}
