<?php

namespace App\Http\Controllers\Demand;

use App\Http\Controllers\Controller;
use App\Http\Requests\PlainNumber;
use App\Queries\Demand\LineCost;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use KeepPace\Core\Refused;

/** What a customer line costs, and a price worked out from that: tried, not kept. */
class LineCostController extends Controller
{
    public function show(Request $request, int $line): View
    {
        $page = LineCost::of($line) ?? abort(404, 'There is no such line.');
        $asked = [];
        foreach (['rule', 'percent', 'step'] as $field) {
            $asked[$field] = $request->string($field)->trim()->limit(20, '')->value();
        }
        [$price, $says] = self::price($page, $asked['rule'] === 'price', $asked['percent'], $asked['step']);

        return view('customer-orders.cost', [
            'page' => $page,
            'asked' => $asked,
            'price' => $price,
            'says' => $says,
        ]);
    }

    /** @return array{BigDecimal|null, string} euros by the rule that is tried, or why there is none */
    private static function price(LineCost $page, bool $isOfPrice, string $percent, string $step): array
    {
        $step = $step === '' ? '0' : $step;
        $wrong = $percent === ''
            ? ''
            : (new PlainNumber(most: '1000', decimals: 4))->says($percent)
                ?? (new PlainNumber(most: '10000', decimals: 2))->says($step);
        try {
            return $wrong === null ? [$page->price($isOfPrice, $percent, $step), ''] : [null, $wrong];
        } catch (Refused $refused) {
            return [null, $refused->getMessage()];
        }
    }
}
