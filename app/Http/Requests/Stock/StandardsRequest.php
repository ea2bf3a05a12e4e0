<?php

namespace App\Http\Requests\Stock;

use App\Actions\Stock\StandardTaken;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use Illuminate\Validation\ValidationException;

/** Other standard costs for a list of items: those that are ticked. */
class StandardsRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'only' => ['required', 'array', 'max:5000'],
            'only.*' => Rules::id(),
            'costs' => ['required', 'array', 'max:5000'],
            'seen' => ['required', 'array', 'max:5000'],
            'booked_on' => ['nullable', ...Rules::day()],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'only.required' => 'Tick the items whose cost is to be taken.',
            'reason.required' => 'Say why they change.',
        ];
    }

    /** The day they are to be taken, where that is after today. */
    public function ahead(): ?string
    {
        $day = $this->validated('booked_on');

        return $day !== null && $day > now(config()->string('pace.zone'))->toDateString() ? $day : null;
    }

    /** @return array<int, StandardTaken> by item */
    public function taken(): array
    {
        $rule = new PlainNumber(most: '9999999');
        $costs = $this->array('costs');
        $seen = $this->array('seen');
        $taken = $wrong = [];
        foreach ($this->array('only') as $id) {
            $item = (int) $id;
            $cost = is_string($costs[$item] ?? null) ? trim($costs[$item]) : '';
            $before = is_string($seen[$item] ?? null) ? trim($seen[$item]) : '';
            $says = $rule->says($cost) ?? $rule->says($before);
            if ($says !== null) {
                $wrong["costs.{$item}"] = $says;
            } else {
                $taken[$item] = new StandardTaken($before, $cost);
            }
        }

        return $wrong === [] ? $taken : throw ValidationException::withMessages($wrong);
    }
}
