<?php

namespace App\Http\Requests\Product;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\Item;

/** What a draft begins with: a revision, what another item has in force, or nothing. */
class BeginDraftRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['from' => ['nullable', ...Rules::id()], 'like' => ['nullable', ...Rules::text(40)]];
    }

    public function from(): ?int
    {
        return $this->validated('from') === null ? null : (int) $this->validated('from');
    }

    /** Another item, by its number. */
    public function like(): ?Item
    {
        return $this->filled('like') ? $this->item('like') : null;
    }
}
