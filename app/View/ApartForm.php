<?php

namespace App\View;

use KeepPace\Core\Stock\Grade;

/** The parts that come out of a unit, as a form. */
final class ApartForm
{
    private const EMPTY = [
        'item' => '',
        'says' => '',
        'quantity' => '',
        'percent' => '',
        'grade' => 'good',
        'codes' => '',
        'hint' => '',
    ];

    /** @param  list<array<string, string>>  $parts */
    public static function of(array $parts): DraftForm
    {
        $grades = [];
        foreach (Grade::cases() as $grade) {
            $grades[$grade->value] = $grade->label();
        }

        return DraftForm::of($parts, self::EMPTY, ['grade' => $grades], more: 1, list: 'parts');
    }
}
