<?php

namespace App\Http\Requests\Orders;

use App\Actions\Orders\AddedComponent;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Structure\LineBasis;

/** A component an order takes that its structure does not say. */
class AddComponentRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'unit' => ['nullable', ...Rules::text(12)],
            'step_number' => ['required', ...Rules::step()],
            'basis' => ['nullable', Rule::enum(LineBasis::class)],
        ];
    }

    public function component(): AddedComponent
    {
        return new AddedComponent(
            $this->item()->id,
            $this->quantity(),
            (int) $this->validated('step_number'),
            LineBasis::from($this->validated('basis') ?? LineBasis::PerUnit->value),
        );
    }
}
