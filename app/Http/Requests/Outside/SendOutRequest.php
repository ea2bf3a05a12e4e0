<?php

namespace App\Http\Requests\Outside;

use App\Actions\Outside\TypedComponentOut;
use App\Actions\Outside\TypedPartOut;
use App\Actions\Outside\TypedSendOut;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What is to go to a supplier: pieces of each step, all that stands here or what was ticked. */
class SendOutRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'supplier' => ['required', ...Rules::id(), 'exists:suppliers,id'],
            'note' => ['nullable', ...Rules::text(200)],
            'do' => ['required', 'in:all,ticked'],
            'steps' => ['nullable', 'array', 'max:300'],
            'steps.*' => ['array:pieces,goes,here,through'],
            'steps.*.pieces' => ['nullable', ...Rules::amountOrZero()],
            'steps.*.here' => ['nullable', ...Rules::amountOrZero()],
            'steps.*.goes' => ['nullable', 'boolean'],
            'steps.*.through' => ['nullable', 'boolean'],
            'parts' => ['nullable', 'array', 'max:100'],
            'parts.*' => ['array:quantity,balance'],
            'parts.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'parts.*.balance' => ['nullable', ...Rules::id()],
            'components' => ['nullable', 'array', 'max:300'],
            'components.*' => ['array:quantity,balance,here,step'],
            'components.*.here' => ['nullable', ...Rules::amountOrZero()],
            'components.*.step' => ['nullable', ...Rules::id()],
            'components.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'components.*.balance' => ['nullable', ...Rules::id()],
        ];
    }

    public function supplier(): int
    {
        return (int) $this->validated('supplier');
    }

    public function note(): string
    {
        return (string) $this->validated('note');
    }

    /** @return list<TypedPartOut> stock that goes along: of what a quantity was typed */
    public function parts(): array
    {
        return array_map(fn (array $row): TypedPartOut => new TypedPartOut(...$row), $this->typed('parts'));
    }

    /**
     * That go along with pieces: what is offered goes when its pieces do, what is typed otherwise goes in any case.
     *
     * @return list<TypedComponentOut>
     */
    public function components(): array
    {
        $going = array_map(fn (TypedSendOut $row): int => $row->step, $this->rows());
        $typed = $this->validated('components') ?? [];
        $goes = fn (array $row): bool => in_array((int) ($typed[$row[0]]['step'] ?? 0), $going, true)
            || (string) ($typed[$row[0]]['here'] ?? '') !== $row[1];

        return array_map(
            fn (array $row): TypedComponentOut => new TypedComponentOut(...$row),
            array_values(array_filter($this->typed('components'), $goes)),
        );
    }

    /** @return list<array{int, string, int}> what, how much, from which balance */
    private function typed(string $list): array
    {
        $typed = [];
        foreach ($this->validated($list) ?? [] as $id => $row) {
            $quantity = (string) ($row['quantity'] ?? '');
            if (! in_array($quantity, ['', '0'], true)) {
                $typed[] = [(int) $id, $quantity, (int) ($row['balance'] ?? 0)];
            }
        }

        return $typed;
    }

    /** @return list<TypedSendOut> */
    public function rows(): array
    {
        $all = $this->validated('do') === 'all';
        $rows = [];
        foreach ($this->validated('steps') ?? [] as $step => $row) {
            $goes = (bool) ($row['goes'] ?? false);
            $pieces = (string) ($row['pieces'] ?? '');
            if ($all && ! $goes) {
                $pieces = (string) ($row['here'] ?? '');
            }
            if (($all || $goes) && ! in_array($pieces, ['', '0'], true)) {
                $rows[] = new TypedSendOut((int) $step, $pieces, (bool) ($row['through'] ?? false));
            }
        }

        return $rows;
    }
}
