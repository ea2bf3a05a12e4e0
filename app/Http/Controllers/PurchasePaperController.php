<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Models\PurchaseOrder;
use App\Papers\PurchasePaper;
use App\Shop\PurchaseSheet;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** A purchase order as it goes to the supplier: on paper, or as a file. */
class PurchasePaperController extends Controller
{
    public function show(int $purchaseOrder): Response
    {
        $sheet = self::sheet($purchaseOrder);

        return $this->paperNamed(self::name($sheet), PurchasePaper::pdf($sheet, Gate::allows(Deed::SeeMoney->value)));
    }

    public function file(int $purchaseOrder): Response
    {
        $sheet = self::sheet($purchaseOrder);

        return response($sheet->json(Gate::allows(Deed::SeeMoney->value)), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.self::name($sheet).'.json"',
        ]);
    }

    private static function sheet(int $order): PurchaseSheet
    {
        return PurchaseSheet::of(PurchaseOrder::query()->with('supplier')->findOrFail($order));
    }

    private static function name(PurchaseSheet $sheet): string
    {
        return 'purchase-'.preg_replace('/[^A-Za-z0-9-]/', '-', $sheet->number);
    }
}
