<?php

namespace App\Http\Requests\Stock;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Stock\ScrapClass;

/** Stock that became scrap, with its class. */
class ScrapRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'class' => ['required', Rule::enum(ScrapClass::class)],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return ['reason.required' => 'Say why it is scrap.', ...parent::messages()];
    }

    public function scrapClass(): ScrapClass
    {
        return ScrapClass::from($this->validated('class'));
    }
}
