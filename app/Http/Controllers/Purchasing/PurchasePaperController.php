<?php

namespace App\Http\Controllers\Purchasing;

use App\Access\Deed;
use App\Http\Controllers\Controller;
use App\Papers\PurchasePaper;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** A purchase order as it goes to the supplier: on paper, or as a file. */
class PurchasePaperController extends Controller
{
    use OfSheet;

    public function show(int $purchaseOrder): Response
    {
        $sheet = self::sheet($purchaseOrder);

        return $this->paperNamed(self::name($sheet), PurchasePaper::pdf($sheet, Gate::allows(Deed::SeeMoney->value)));
    }
}
