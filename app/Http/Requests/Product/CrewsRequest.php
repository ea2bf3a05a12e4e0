<?php

namespace App\Http\Requests\Product;

use App\Actions\Settings\TypedWorker;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\TypedRows;
use App\Models\Calendar;
use App\Models\WorkCentre;
use KeepPace\Core\Routing\Qualifications;

/** Who works where. */
class CrewsRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['crews' => ['required', 'array', 'max:1000']];
    }

    /** @return array<int, TypedWorker> by row of the form */
    public function crews(): array
    {
        $rows = TypedRows::of($this->array('crews'), 'crews', ['id', 'code', 'name']);
        $known = [
            'work_centre_id' => WorkCentre::query()->pluck('id')->all(),
            'calendar_id' => Calendar::query()->pluck('id')->all(),
        ];
        $crews = [];
        foreach ($rows->places() as $at) {
            $id = $rows->whole($at, 'id', 1, 999_999_999);
            $chosen = [];
            foreach ($known as $field => $ids) {
                $chosen[$field] = $rows->whole($at, $field, 1, 999_999_999) ?? 0;
                in_array($chosen[$field], $ids, true) ?: $rows->wrong($at, $field, 'Choose one of those offered.');
            }
            $crews[$at] = new TypedWorker(
                $id,
                $rows->whole($at, 'version', 0, 999_999_999) ?? 0,
                $id === null ? $rows->words($at, 'code', 20) : '',
                $rows->words($at, 'name', 80),
                $chosen['work_centre_id'],
                $chosen['calendar_id'],
                $rows->whole($at, 'is_retired', 0, 1) !== 1,
                Qualifications::read($rows->text($at, 'qualifications', 200))->written(),
            );
        }
        $rows->assertRight();

        return $crews;
    }
}
