<?php

namespace App\Http\Requests\Purchasing;

use App\Actions\Purchasing\LineToBuy;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\TieDemand;

/** What is ordered from suppliers. */
class PurchasesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'items' => ['required', 'array', 'max:200'],
            'items.*.number' => ['nullable', ...Rules::text(60)],
            'items.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'items.*.unit' => ['nullable', ...Rules::text(12)],
            'items.*.price' => ['nullable', ...Rules::price()],
            'items.*.expected_on' => ['nullable', ...Rules::workedDay()],
            'items.*.supplier' => ['nullable', ...Rules::id(), 'exists:suppliers,id'],
            'only' => ['nullable', 'array', 'max:500'],
            'only.*' => Rules::id(),
            'items.*.component' => ['nullable', ...Rules::id(), 'exists:order_components,id'],
            'items.*' => ['array:number,quantity,unit,price,expected_on,supplier,component'],
            'add' => ['nullable', 'boolean'],
            'draft' => ['nullable', 'boolean'],
        ];
    }

    /** @return list<LineToBuy>  those with a quantity, and ticked where ticks were sent */
    public function lines(): array
    {
        $only = $this->validated('only');
        $only = $only === null ? null : array_map(intval(...), $only);
        $lines = [];
        foreach ($this->validated('items') as $id => $row) {
            $item = isset($row['number']) ? $this->item("items.{$id}.number")->id : (int) $id;
            $isWanted = $only === null || in_array($item, $only, true);
            if ($isWanted && BigDecimal::of($row['quantity'] ?? '0')->isPositive()) {
                $lines[] = new LineToBuy(
                    $item,
                    (string) $row['quantity'],
                    $row['unit'] ?? '' ?: null,
                    $row['price'] ?? null,
                    $row['expected_on'] ?? null,
                    isset($row['supplier']) ? (int) $row['supplier'] : null,
                    (string) $id,
                    isset($row['component']) ? TieDemand::component((int) $row['component']) : null,
                );
            }
        }

        return $lines;
    }

    public function messages(): array
    {
        return [...parent::messages(), 'items.required' => 'Tick the items to order.'];
    }
}
