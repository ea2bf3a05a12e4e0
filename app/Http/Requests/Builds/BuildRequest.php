<?php

namespace App\Http\Requests\Builds;

use App\Actions\Builds\TypedBuild;
use App\Actions\Builds\TypedPart;
use App\Actions\Orders\TypedOutput;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What was built, or is to be: how many, of which parts, what came back. */
class BuildRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'item' => ['required', ...Rules::text(60)],
            'asked' => ['required', ...Rules::amount()],
            'reference' => ['nullable', ...Rules::text(60)],
            'built' => ['required', ...Rules::amountOrZero()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'codes' => ['nullable', ...Rules::text(20000)],
            'parts' => ['nullable', 'array', 'max:3000'],
            'parts.*' => ['array:quantity,codes'],
            'parts.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'parts.*.codes' => ['nullable', ...Rules::text(20000)],
            'back' => ['nullable', 'array', 'max:100'],
            'back.*' => ['array:quantity,codes'],
            'back.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'back.*.codes' => ['nullable', ...Rules::text(20000)],
            'minutes' => ['nullable', 'array', 'max:200'],
            'minutes.*' => ['nullable', 'integer', 'min:0', 'max:99999'],
            'was_used' => ['nullable', 'in:1'],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    /** @param  int|null  $order  null = a new one */
    public function typed(?int $order): TypedBuild
    {
        $parts = $back = $minutes = [];
        foreach ($this->rows('parts') as $position => $row) {
            $parts[$position] = new TypedPart(self::text($row, 'quantity'), self::text($row, 'codes'));
        }
        foreach ($this->rows('back') as $item => $row) {
            $back[$item] = new TypedOutput(self::text($row, 'quantity'), self::text($row, 'codes'));
        }
        foreach ($this->array('minutes') as $step => $typed) {
            is_numeric($typed) ? $minutes[(int) $step] = (int) $typed : null;
        }

        return new TypedBuild(
            $order,
            $this->item()->id,
            $this->string('asked')->value(),
            $this->string('built')->value(),
            $this->integer('place_id'),
            $this->string('reference')->trim()->value(),
            $this->string('codes')->value(),
            $parts,
            $back,
            $minutes,
            $this->boolean('was_used'),
        );
    }

    /** @return array<int, array<array-key, mixed>> */
    private function rows(string $field): array
    {
        $rows = [];
        foreach ($this->array($field) as $key => $row) {
            $rows[(int) $key] = is_array($row) ? $row : [];
        }

        return $rows;
    }

    /** @param  array<array-key, mixed>  $row */
    private static function text(array $row, string $field): string
    {
        $typed = $row[$field] ?? '';

        return is_string($typed) ? trim($typed) : '';
    }
}
