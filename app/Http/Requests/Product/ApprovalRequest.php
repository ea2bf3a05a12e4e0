<?php

namespace App\Http\Requests\Product;

use App\Actions\Product\TypedApproval;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Which draft is approved as somebody saw it, and from which day. */
class ApprovalRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'from' => ['nullable', ...Rules::day()],
            'fits' => ['nullable', 'in:yes,no'],
            'used_up' => ['nullable', ...Rules::id()],
            'from_order' => ['nullable', ...Rules::id()],
        ];
    }

    public function approval(): TypedApproval
    {
        $fits = $this->validated('fits');

        return new TypedApproval(
            $this->integer('version'),
            $this->validated('from'),
            $fits === null ? null : $fits === 'yes',
            $this->validated('used_up') === null ? null : $this->integer('used_up'),
            $this->validated('from_order') === null ? null : $this->integer('from_order'),
        );
    }
}
