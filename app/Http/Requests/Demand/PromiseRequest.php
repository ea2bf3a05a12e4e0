<?php

namespace App\Http\Requests\Demand;

use App\Actions\Schedule\DateToHold;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Settings\Setting;
use App\Settings\Settings;
use Carbon\CarbonImmutable;

/**
 * What is asked for: an item, how many, in which unit, by when the customer wants it, and whether to hold the time for
 * it.
 */
class PromiseRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'unit' => ['nullable', ...Rules::text(12)],
            'wanted' => ['nullable', ...Rules::day()],
            'hours' => ['nullable', 'integer', 'between:1,72'],
            'for' => ['nullable', ...Rules::text(80)],
            'how' => ['nullable', 'in:nobody,slack'],
            'finish' => ['nullable', 'integer', 'between:0,200000000'],
        ];
    }

    public function promised(): DateToHold
    {
        return new DateToHold(
            $this->item()->id,
            $this->quantity(),
            $this->validated('how') === 'slack',
            $this->integer('hours', Settings::whole(Setting::HoldHours)),
            $this->string('for')->trim()->value(),
            $this->filled('finish') ? CarbonImmutable::createFromTimestamp($this->integer('finish') * 60) : null,
        );
    }

    public function messages(): array
    {
        return [...parent::messages(), 'hours.between' => 'From 1 to 72 hours.'];
    }
}
