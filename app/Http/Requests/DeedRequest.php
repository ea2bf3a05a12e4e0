<?php

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Arr;

/** A form that books something: its token makes it safe to send twice. What may be done is asked by the route. */
class DeedRequest extends FormRequest
{
    /** A plain decimal above zero as typed; meaning (unit, stock, state) is core's to check. */
    public const AMOUNT = ['decimal:0,6', 'gt:0', 'lt:1000000000'];

    public const AMOUNT_OR_ZERO = ['decimal:0,6', 'gte:0', 'lt:1000000000'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['token' => ['required', 'string', 'max:64', 'alpha_dash'], ...$this->fields()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'token.required' => 'Open the page again and send once more.',
            '*.decimal' => 'Type a plain number such as 2.5, with at most 6 decimals.', '*.gt' => 'Must be above 0.',
            '*.gte' => 'Must be 0 or more.', '*.lt' => 'That is more than can be meant.',
            '*.required' => 'Must be filled.', '*.date_format' => 'Choose a date.', '*.max' => 'Too long.',
            '*.integer' => 'Type a whole number.', '*.exists' => 'Is not there any more.',
            '*.*.*.decimal' => 'Type a plain number such as 2.5, with at most 6 decimals.', '*.*.*.gt' => 'Must be above 0.',
            '*.*.*.gte' => 'Must be 0 or more.', '*.*.*.lt' => 'That is more than can be meant.',
            '*.*.*.required' => 'Must be filled.', '*.*.*.date_format' => 'Choose a date.', '*.*.*.required_with' => 'Must be filled.',
        ];
    }

    /** The token of the form with the fingerprint of what was typed into it. */
    public function token(): string
    {
        $typed = Arr::sortRecursive(Arr::except($this->all(), ['_token', 'token', 'version']));

        return $this->string('token').'.'.substr(hash('sha256', $this->path().json_encode($typed)), 0, 16);
    }

    public function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('The route asks for a login.');
    }

    /** @return array<string, mixed> */
    protected function fields(): array
    {
        return [];
    }
}
