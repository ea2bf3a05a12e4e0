<?php

namespace App\Http\Requests\Product;

use App\Access\Deed;
use App\Actions\Product\TypedCentre;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\ValidationException;

/** What is known of a work centre, and how long it takes from one setup family to the next. */
class WorkCentreRequest extends DeedRequest
{
    private const RATES = [
        'labour_rate' => '99999',
        'machine_rate' => '99999',
        'overhead_percent' => '9999',
        'overhead_hour' => '99999',
        'overhead_piece' => '99999',
    ];

    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'name' => ['required', ...Rules::text(60)],
            'calendar_id' => ['required', ...Rules::id(), 'exists:calendars,id'],
            'machines' => ['required', 'bail', 'integer', 'between:1,999'],
            'load_size' => ['nullable', 'bail', 'integer', 'between:0,999999'],
            'has_changeovers' => ['nullable', 'boolean'],
            'other_changeover' => ['nullable', 'bail', 'integer', 'between:0,9999'],
            'overtime_hours' => ['nullable', 'bail', 'integer', 'between:0,8'],
            'no_saturdays' => ['nullable', 'boolean'],
            ...array_map(Rules::rate(...), self::RATES),
            'table' => ['nullable', 'array', 'max:60'],
        ];
    }

    public function centre(): TypedCentre
    {
        $rates = array_map(fn (string $field): string => (string) ($this->validated($field) ?? '0'), array_combine(
            array_keys(self::RATES),
            array_keys(self::RATES),
        ));

        return new TypedCentre(
            $this->validated('name'),
            (int) $this->validated('calendar_id'),
            (int) $this->validated('machines'),
            (int) $this->validated('load_size'),
            $this->boolean('has_changeovers'),
            (int) $this->validated('other_changeover'),
            $this->filled('overtime_hours') ? $this->integer('overtime_hours') : null,
            $this->boolean('no_saturdays'),
            $this->person()->may(Deed::SeeMoney) ? $rates : null,
            $this->table(),
        );
    }

    /** @return array<int, array<int, int|null>>  minutes by family before, family after */
    private function table(): array
    {
        $table = $wrong = [];
        foreach ($this->array('table') as $from => $row) {
            foreach (is_array($row) ? $row : [] as $to => $typed) {
                $typed = is_string($typed) ? trim($typed) : '';
                if (preg_match('/^\d{0,4}$/D', $typed) !== 1) {
                    $wrong["table.{$from}.{$to}"] = 'Minutes: a whole number up to 9999.';
                }
                $table[(int) $from][(int) $to] = $typed === '' ? null : (int) $typed;
            }
        }

        return $wrong === [] ? $table : throw ValidationException::withMessages($wrong);
    }
}
