<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Planning\Cure;

/** What becomes of what was scrapped. */
class CureRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'how' => ['required', Rule::enum(Cure::class)],
            'quantity' => ['required', ...Rules::amount()],
            'reason' => ['nullable', 'required_if:how,accept', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required_if' => 'Say who accepted it.'];
    }
}
