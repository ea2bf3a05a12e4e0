<?php

namespace App\Http\Requests\Product;

use App\Actions\Settings\TypedUnit;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\TypedRows;

/** The list of units. */
class UnitsRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['units' => ['required', 'array', 'max:200']];
    }

    /** @return array<int, TypedUnit> by row of the form */
    public function units(): array
    {
        $rows = TypedRows::of($this->array('units'), 'units', ['id', 'code', 'name']);
        $units = [];
        foreach ($rows->places() as $at) {
            $id = $rows->whole($at, 'id', 1, 999_999_999);
            $rec20 = strtoupper($rows->text($at, 'rec20', 3));
            if (preg_match('/^[A-Z0-9]{0,3}$/D', $rec20) !== 1) {
                $rows->wrong($at, 'rec20', 'Two or three letters or digits, as Recommendation 20 has them.');
            }
            $units[$at] = new TypedUnit(
                $id,
                $rows->whole($at, 'version', 0, 999_999_999) ?? 0,
                $id === null ? $rows->words($at, 'code', 12) : '',
                $rows->words($at, 'name', 40),
                $rows->whole($at, 'decimals', 0, 6) ?? 0,
                $rec20,
            );
        }
        $rows->assertRight();

        return $units;
    }
}
