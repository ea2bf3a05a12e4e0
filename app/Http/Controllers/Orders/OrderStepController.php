<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ChangeSteps;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\AddStepRequest;
use App\Http\Requests\Orders\RemoveStepRequest;
use App\Http\Requests\Orders\StepRequest;
use Illuminate\Http\RedirectResponse;

/** Steps on one order; the master is not touched. */
class OrderStepController extends Controller
{
    public function update(StepRequest $request, int $step, ChangeSteps $change): RedirectResponse
    {
        return $this->done(
            back(),
            $change->change(
                $step,
                $request->integer('version'),
                [
                    'work_centre_id' => $request->validated('work_centre_id') === null
                        ? null
                        : $request->integer('work_centre_id'),
                    'setup_minutes' => $request->validated('setup_minutes'),
                    'run_rate' => $request->validated('run_rate'),
                ],
                $request->overheads(),
                $request->signed((string) $request->validated('reason')),
            ),
        );
    }

    public function store(AddStepRequest $request, int $order, ChangeSteps $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->add(
                $order,
                (int) $typed['version'],
                [
                    'number' => (int) $typed['number'],
                    'name' => $typed['name'],
                    'work_centre_id' => (int) $typed['work_centre_id'],
                    'setup_minutes' => $typed['setup_minutes'],
                    'run_rate' => $typed['run_rate'],
                ],
                $request->signed(),
            ),
        );
    }

    public function destroy(RemoveStepRequest $request, int $step, ChangeSteps $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->remove($step, (int) $typed['version'], $request->signed()),
        );
    }
}
