<?php

namespace App\Http\Requests;

use App\Books\Signed;
use App\Models\Item;
use App\Models\Person;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;
use KeepPace\Core\Quantity\TypedQuantity;

/** A form that books something: its token makes it safe to send twice. What may be done is asked by the route. */
class DeedRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['token' => ['required', 'string', 'max:64', 'alpha_dash:ascii'], ...$this->fields()];
    }

    /** @return array<string, string> more than lang/en/validation.php says */
    public function messages(): array
    {
        return ['token.required' => 'Open the page again and send once more.'];
    }

    /** Who sends the form, under its token, with the fingerprint of what was typed into it. */
    public function signed(string $reason = '', ?string $bookedOn = null): Signed
    {
        $typed = Arr::sortRecursive(Arr::except($this->all(), ['_token', 'token', 'version', '_by']));
        $fingerprint = substr(hash('sha256', $this->path().json_encode($typed)), 0, 16);

        return new Signed((string) $this->string('token'), $this->person(), $reason, $bookedOn, $fingerprint);
    }

    public function person(): Person
    {
        $user = $this->user();

        return $user instanceof Person ? $user : throw new \LogicException('The route asks for a login.');
    }

    /**
     * The item whose number was typed, in capitals or not.
     *
     * @throws ValidationException beside the field
     */
    public function item(string $field = 'item'): Item
    {
        $typed = (string) $this->input($field);

        return Item::numbered($typed)?->load('unit', 'units.unit')
            ?? throw ValidationException::withMessages([
                $field => "No item has the number {$typed}. Type part of its name to find it.",
            ]);
    }

    /** What was typed into the fields of a quantity; core judges it. */
    public function quantity(): TypedQuantity
    {
        $unit = $this->string('unit')->value();

        return new TypedQuantity($this->string('quantity')->value(), $unit === '' ? null : $unit);
    }

    /** @return array<string, mixed> */
    protected function fields(): array
    {
        return [];
    }

    /** @return list<int> what was ticked in a list, each once */
    public function ids(string $field): array
    {
        $ids = array_map(
            fn (mixed $id): int => is_numeric($id) ? (int) $id : 0,
            array_values($this->array($field)),
        );

        return array_values(array_unique($ids));
    }
}
