<?php

namespace App\Http\Requests\Orders;

use App\Access\Deed;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\OrderStep;

/** Times and work centre of an order's step, and what comes on top of its cost. */
class StepRequest extends DeedRequest
{
    /** @return array<string, list<mixed>> */
    public static function times(): array
    {
        return [
            'setup_minutes' => ['required', ...Rules::setupMinutes()],
            'run_rate' => ['required', ...Rules::runRate()],
        ];
    }

    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'work_centre_id' => ['nullable', ...Rules::id(), 'exists:work_centres,id'],
            ...self::times(),
            'overhead_percent' => Rules::rate('9999'),
            'overhead_hour' => Rules::rate('99999'),
            'overhead_piece' => Rules::rate('99999'),
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    /** @return array<string, string> what was typed of it, by column; nothing of who may not see money */
    public function overheads(): array
    {
        $typed = array_intersect_key($this->validated(), array_fill_keys(OrderStep::OVERHEADS, true));

        return $this->person()->may(Deed::SeeMoney)
            ? array_map(fn (?string $rate): string => $rate ?? '0', $typed)
            : [];
    }
}
