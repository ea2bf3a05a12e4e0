<?php

namespace App\Http\Requests\Builds;

use App\Actions\Apart\TypedApart;
use App\Actions\Apart\TypedApartPart;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use App\Http\Requests\TypedRows;
use KeepPace\Core\Stock\Grade;

/** A unit that was taken apart. */
class ApartRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'unit' => ['required', ...Rules::id(), 'exists:balances,id'],
            'minutes' => ['nullable', 'bail', 'integer', 'between:0,99999'],
            'work_centre_id' => ['nullable', ...Rules::id(), 'exists:work_centres,id'],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'parts' => ['required', 'array', 'max:500'],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'unit.required' => 'Choose which one is taken apart.'];
    }

    public function typed(): TypedApart
    {
        $rows = TypedRows::of($this->array('parts'), 'parts', ['item', 'quantity']);
        $parts = [];
        foreach ($rows->places() as $at) {
            $parts[$at] = new TypedApartPart(
                $rows->words($at, 'item', 40),
                $rows->number($at, 'quantity', new PlainNumber(above: true)),
                $rows->number($at, 'percent', new PlainNumber(most: '100', decimals: 4), '0'),
                $rows->choice($at, 'grade', Grade::Good),
                $rows->text($at, 'codes', 20000),
            );
        }
        $rows->assertRight();

        return new TypedApart(
            $this->integer('unit'),
            $this->integer('minutes'),
            $this->filled('work_centre_id') ? $this->integer('work_centre_id') : null,
            $this->integer('place_id'),
            $parts,
        );
    }
}
