<?php

namespace App\Http\Controllers\Import;

use App\Access\Deed;
use App\Actions\Import\TakeOut;
use App\Http\Controllers\Controller;
use App\Http\Requests\Import\TakeOutRequest;
use App\Papers\ProductFiles;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Takes product data out as files. */
class TakeOutController extends Controller
{
    public function store(TakeOutRequest $request, TakeOut $take): BinaryFileResponse
    {
        $of = $request->of();
        $files = ProductFiles::make(
            $request->kinds(),
            $request->string('format')->value(),
            Gate::allows(Deed::SeeMoney->value),
            $of,
        );
        $take->handle($files->rows, $of?->label() ?? '', $request->signed());
        register_shutdown_function($files->forget(...));

        return response()->download($files->path);
    }
}
