<?php

namespace App\Http\Requests\Settings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Settings\ReasonKind;
use Illuminate\Validation\ValidationException;

/** Reasons that are offered, one a line. */
class ReasonsRequest extends DeedRequest
{
    private const LONGEST = 80;

    private const MOST = 40;

    protected function fields(): array
    {
        $names = array_column(ReasonKind::cases(), 'value');

        return array_fill_keys($names, ['nullable', ...Rules::text(4000)]);
    }

    /** @return array<string, list<string>> each once, by kind */
    public function reasons(): array
    {
        $reasons = $wrong = [];
        foreach (ReasonKind::cases() as $kind) {
            $lines = preg_split('/\R/', $this->validated($kind->value) ?? '') ?: [];
            $lines = array_filter(array_map(trim(...), $lines), fn (string $line): bool => $line !== '');
            $reasons[$kind->value] = array_values(array_unique($lines));
            $longest = max([0, ...array_map(mb_strlen(...), $lines)]);
            if ($longest > self::LONGEST || count($lines) > self::MOST) {
                $wrong[$kind->value] = 'At most '.self::MOST.' lines of '.self::LONGEST.' characters.';
            }
        }

        return $wrong === [] ? $reasons : throw ValidationException::withMessages($wrong);
    }
}
