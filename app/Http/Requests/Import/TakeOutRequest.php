<?php

namespace App\Http\Requests\Import;

use App\Actions\Import\StoredRows;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\Item;
use App\Models\Routing;
use App\Models\Structure;
use Illuminate\Validation\Rule;

/** Which product data are taken out, and in which form. */
class TakeOutRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'kinds' => ['required', 'array', 'max:20'],
            'kinds.*' => ['string', Rule::in(StoredRows::FILES)],
            'format' => ['required', 'in:csv,json'],
            'structure' => ['nullable', ...Rules::id()],
            'routing' => ['nullable', ...Rules::id()],
            'item' => ['nullable', ...Rules::id()],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'kinds.required' => 'Choose what is to be taken out.'];
    }

    /** What alone is taken out; null = all. */
    public function of(): Structure|Routing|Item|null
    {
        return match (true) {
            $this->filled('structure') => Structure::query()->with('item')->findOrFail($this->integer('structure')),
            $this->filled('routing') => Routing::query()->with('item')->findOrFail($this->integer('routing')),
            $this->filled('item') => Item::query()->findOrFail($this->integer('item')),
            default => null,
        };
    }

    /** @return list<string> */
    public function kinds(): array
    {
        return array_values(array_unique(array_filter($this->validated('kinds'), is_string(...))));
    }
}
