<?php

namespace App\Http\Controllers\Station;

use App\Actions\Shop\ReportStep;
use App\Http\Controllers\Controller;
use App\Http\Requests\Station\ReportRequest;
use Illuminate\Http\RedirectResponse;

/** What was done of a step. */
class StepReportController extends Controller
{
    public function store(ReportRequest $request, int $step, ReportStep $report): RedirectResponse
    {
        return $this->done(back(), $report->handle($step, $request->report(), $request->signed()));
    }
}
