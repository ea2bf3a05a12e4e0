<?php

namespace App\Http\Requests\Settings;

use App\Actions\Settings\TypedPlace;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\TypedRows;

/** The list of places in the stores. */
class PlacesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['places' => ['required', 'array', 'max:500']];
    }

    /** @return array<int, TypedPlace> by row of the form */
    public function places(): array
    {
        $rows = TypedRows::of($this->array('places'), 'places', ['id', 'code', 'name']);
        $places = [];
        foreach ($rows->places() as $at) {
            $id = $rows->whole($at, 'id', 1, 999_999_999);
            $places[$at] = new TypedPlace(
                $id,
                $rows->whole($at, 'version', 0, 999_999_999) ?? 0,
                $id === null ? $rows->words($at, 'code', 20) : '',
                $rows->words($at, 'name', 60),
                $rows->whole($at, 'is_retired', 0, 1) === 1,
            );
        }
        $rows->assertRight();

        return $places;
    }
}
