<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** A step as people call it: its order's number, its own, its name. */
final readonly class StepName
{
    private function __construct(public string $label, public int $orderId)
    {
    }

    public static function of(int $step): self
    {
        $row = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->where('s.id', $step)
            ->select(['s.number', 's.name', 'o.number AS order', 'o.id']);

        return Row::first($row, self::from(...)) ?? throw new \LogicException("There is no step {$step}.");
    }

    public static function from(Row $row): self
    {
        return new self(
            "{$row->text('order')} step {$row->int('number')} {$row->text('name')}",
            $row->int('id'),
        );
    }
}
