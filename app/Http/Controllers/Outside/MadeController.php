<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\ComesMade;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\MadeRequest;
use App\Models\Place;
use App\Queries\Outside\PartAlong;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What suppliers make of parts of ours. */
class MadeController extends Controller
{
    public function edit(int $line): View
    {
        $parts = PartAlong::of($line);

        return view('outside.made', [
            'part' => $parts->first() ?? abort(404, 'Nothing of ours goes along for it.'),
            'parts' => $parts,
            'places' => Place::offered(),
        ]);
    }

    public function store(MadeRequest $request, int $line, ComesMade $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($line, $request->made(), $request->signed()));
    }
}
