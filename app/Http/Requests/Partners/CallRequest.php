<?php

namespace App\Http\Requests\Partners;

use App\Actions\Purchasing\TypedDay;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Days a supplier says on the telephone, typed down one sheet; what is left empty stays as it is. */
class CallRequest extends DeedRequest
{
    protected function fields(): array
    {
        $fields = [];
        foreach (['lines', 'back'] as $list) {
            $fields[$list] = ['nullable', 'array', 'max:300'];
            $fields["{$list}.*"] = ['array:on,unknown'];
            $fields["{$list}.*.on"] = ['nullable', ...Rules::workedDay()];
            $fields["{$list}.*.unknown"] = ['nullable', 'boolean'];
        }

        return [...$fields, 'reason' => ['nullable', ...Rules::text(200)]];
    }

    /**
     * @param  'lines'|'back'  $list
     * @return array<int, TypedDay> by id; those with a day
     */
    public function days(string $list): array
    {
        $days = [];
        foreach ($this->validated($list) ?? [] as $id => $typed) {
            if (($typed['on'] ?? null) !== null) {
                $days[(int) $id] = new TypedDay($typed['on'], (bool) ($typed['unknown'] ?? false));
            }
        }

        return $days;
    }
}
