<?php

namespace App\Http\Requests\Purchasing;

use App\Actions\Purchasing\TypedSending;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\ValidationException;
use KeepPace\Core\Purchasing\PurchaseRefused;

/** How a purchase order goes to its supplier. */
class SendingRequest extends DeedRequest
{
    private const MAIL = 'mail';

    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'by' => ['required', 'in:mail,paper'],
            'to' => ['nullable', 'string', 'max:200', 'email:rfc'],
            'words' => ['nullable', ...Rules::text(1000)],
        ];
    }

    /** @throws ValidationException when it goes by mail to nobody */
    public function sending(): TypedSending
    {
        $to = $this->validated('to');
        if ($this->validated('by') === self::MAIL && $to === null) {
            throw ValidationException::withMessages(
                ['to' => PurchaseRefused::noAddress('this supplier')->getMessage()],
            );
        }

        return new TypedSending(
            $this->validated('by') === self::MAIL ? $to : null,
            $this->validated('words') ?? '',
        );
    }
}
