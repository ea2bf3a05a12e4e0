<?php

namespace App\Http\Requests\Billing;

use App\Actions\Billing\TypedBill;
use App\Actions\Billing\TypedBillLine;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use Brick\Math\BigDecimal;
use Illuminate\Validation\Rules\Enum;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Quantity\Cents;

/** A supplier's bill as it is typed from the paper. */
class BillRequest extends DeedRequest
{
    protected function fields(): array
    {
        $euros = ['nullable', 'bail', new PlainNumber(most: '9999999', decimals: 2, least: '-9999999')];

        return [
            'supplier' => ['required', ...Rules::id(), 'exists:suppliers,id'],
            'number' => ['required', ...Rules::text(60)],
            'billed_on' => ['required', ...Rules::day()],
            'due_on' => ['nullable', ...Rules::farDay()],
            'total' => $euros,
            'lines' => ['nullable', 'array', 'max:300'],
            'lines.*' => ['array:on,quantity,unit,price'],
            'lines.*.on' => ['nullable', 'boolean'],
            'lines.*.quantity' => ['nullable', 'bail', new PlainNumber(least: '-999999999')],
            'lines.*.unit' => ['nullable', ...Rules::text(12)],
            'lines.*.price' => ['nullable', ...Rules::price()],
            'charges' => ['nullable', 'array', 'max:20'],
            'charges.*' => ['array:says,amount,spread,receipt'],
            'charges.*.says' => ['nullable', 'required_with:charges.*.amount', ...Rules::text(200)],
            'charges.*.amount' => $euros,
            'charges.*.spread' => ['nullable', new Enum(SpreadBy::class)],
            'charges.*.receipt' => ['nullable', ...Rules::id(), 'exists:bookings,id'],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'charges.*.says.required_with' => 'Say what is charged: freight, duty.'];
    }

    public function bill(): TypedBill
    {
        $total = $this->validated('total');

        return new TypedBill(
            $this->integer('supplier'),
            $this->validated('number'),
            $this->validated('billed_on'),
            $this->validated('due_on'),
            $total === null ? null : self::cents($total),
            [...$this->goods(), ...$this->charges()],
        );
    }

    /** @return list<TypedBillLine> those that are ticked */
    private function goods(): array
    {
        $lines = [];
        foreach ($this->validated('lines') ?? [] as $id => $row) {
            if (filter_var($row['on'] ?? false, FILTER_VALIDATE_BOOL)) {
                $lines[] = TypedBillLine::goods(
                    "lines.{$id}",
                    (int) $id,
                    (string) ($row['quantity'] ?? '0'),
                    $row['unit'] ?? null,
                    (string) ($row['price'] ?? '0'),
                );
            }
        }

        return $lines;
    }

    /** @return list<TypedBillLine> */
    private function charges(): array
    {
        $charges = [];
        foreach ($this->validated('charges') ?? [] as $i => $row) {
            if (($row['amount'] ?? null) !== null) {
                $charges[] = TypedBillLine::charge(
                    "charges.{$i}",
                    $row['says'],
                    self::cents($row['amount']),
                    SpreadBy::from($row['spread'] ?? SpreadBy::Value->value),
                    isset($row['receipt']) ? (int) $row['receipt'] : null,
                );
            }
        }

        return $charges;
    }

    private static function cents(string $euros): int
    {
        return Cents::of(BigDecimal::one(), $euros);
    }
}
