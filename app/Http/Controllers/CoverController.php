<?php

namespace App\Http\Controllers;

use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Cover\TieToOrder;
use App\Http\Requests\CoverRequest;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Http\RedirectResponse;

/** How customer lines are supplied. */
class CoverController extends Controller
{
    public function store(CoverRequest $request, CoverLines $cover): RedirectResponse
    {
        return $this->done(back(), $cover->handle(array_map(intval(...), array_values($request->validated('lines'))),
            CoverBy::from($request->validated('by')), $request->validated('quantity'),
            $request->boolean('with_parts'), $request->signed()));
    }

    public function update(DeedRequest $request, int $line, TieToOrder $tie): RedirectResponse
    {
        $typed = $request->validate(['order' => ['required', ...Rules::id(), 'exists:orders,id'],
            'quantity' => ['required', ...Rules::amount()]]);

        return $this->done(
            back(),
            $tie->tie($line, (int) $typed['order'], $typed['quantity'], $request->signed()),
        );
    }

    public function destroy(DeedRequest $request, int $cover, TieToOrder $tie): RedirectResponse
    {
        $typed = $request->validate(
            ['reason' => ['required', ...Rules::text(200)]],
            ['reason.required' => 'Say why it is untied.'],
        );

        return $this->done(back(), $tie->untie($cover, $request->signed($typed['reason'])));
    }
}
