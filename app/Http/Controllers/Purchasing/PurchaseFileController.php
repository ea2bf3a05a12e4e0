<?php

namespace App\Http\Controllers\Purchasing;

use App\Access\Deed;
use App\Http\Controllers\Controller;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** A purchase order as a file. */
class PurchaseFileController extends Controller
{
    use OfSheet;

    public function show(int $purchaseOrder): Response
    {
        $sheet = self::sheet($purchaseOrder);

        return response($sheet->json(Gate::allows(Deed::SeeMoney->value)), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.self::name($sheet).'.json"',
        ]);
    }
}
