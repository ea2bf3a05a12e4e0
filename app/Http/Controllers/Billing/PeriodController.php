<?php

namespace App\Http\Controllers\Billing;

use App\Actions\Bookings\ClosePeriod;
use App\Http\Controllers\Controller;
use App\Http\Requests\PeriodRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** Periods of the books. */
class PeriodController extends Controller
{
    public function index(): View
    {
        return view('periods.index', [
            'periods' => DB::table('periods AS p')
                ->join('people AS u', 'u.id', 'p.user_id')
                ->orderByDesc('p.ends_on')
                ->limit(60)
                ->get(['p.ends_on', 'p.closed_at', 'u.name AS person']),
        ]);
    }

    public function store(PeriodRequest $request, ClosePeriod $close): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $close->handle($typed['ends_on'], $request->signed()));
    }
}
