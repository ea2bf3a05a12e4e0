<?php

namespace App\Http\Requests\Usage;

use App\Actions\Usage\SlipTyped;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A usage slip as typed: whatever stands on a line is kept; core judges it when it is booked. */
class SlipRequest extends DeedRequest
{
    /** Characters taken over from each field of a line. */
    private const LENGTHS = ['quantity' => 30, 'unit' => 12, 'reason' => 200, 'out' => 1, 'item' => 40];

    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'note' => ['nullable', ...Rules::text(200)],
            'booked_on' => ['nullable', ...Rules::day()],
            'over_plan' => ['nullable', 'boolean'],
            'reason' => ['nullable', ...Rules::text(200)],
            'do' => ['nullable', 'in:keep,book,scan'],
            'scan' => ['nullable', ...Rules::text(80)],
            'lines' => ['nullable', 'array', 'max:3000'],
        ];
    }

    public function slip(): SlipTyped
    {
        return new SlipTyped($this->lines(), $this->validated('note') ?? '', $this->validated('booked_on'));
    }

    /**
     * By line. Checked here, not by rules of the validator: those take seconds on a thousand lines.
     *
     * @return array<int, array{
     *     quantity?: ?string,
     *     unit?: ?string,
     *     reason?: ?string,
     *     out?: ?string,
     *     item?: ?string,
     *     splits?: array<int, array{code?: ?string, quantity?: ?string, place?: ?string}>,
     * }>
     */
    private function lines(): array
    {
        $lines = [];
        foreach ($this->array('lines') as $id => $line) {
            foreach (is_array($line) ? self::LENGTHS : [] as $field => $max) {
                if (array_key_exists($field, $line) && (is_string($line[$field]) || $line[$field] === null)) {
                    $lines[(int) $id][$field] = mb_substr((string) $line[$field], 0, $max);
                }
            }
            $splits = is_array($line) && is_array($line['splits'] ?? null) ? $line['splits'] : [];
            foreach (array_slice($splits, 0, 500) as $split) {
                $part = array_filter(
                    is_array($split) ? $split : [],
                    fn ($value): bool => is_string($value) || $value === null,
                );
                $lines[(int) $id]['splits'][] = [
                    'code' => (string) ($part['code'] ?? ''),
                    'quantity' => (string) ($part['quantity'] ?? ''),
                    'place' => (string) ($part['place'] ?? ''),
                ];
            }
        }

        return $lines;
    }
}
