<?php

namespace App\View;

use App\Shop\MadeLine;
use KeepPace\Core\Quantity\Amount;

/** The lines of a structure's draft as a form. */
final class StructureForm
{
    private const CHOICES = [
        'basis' => ['unit' => 'each', 'order' => 'order'],
        'issue_by' => ['hand' => 'hand', 'backflush' => 'backflush'],
        'supplied_by' => ['us' => 'us', 'customer' => 'customer'],
    ];

    private const EMPTY = [
        'id' => '',
        'component' => '',
        'says' => '',
        'quantity' => '',
        'unit' => '',
        'basis' => 'unit',
        'scrap' => '',
        'step' => '',
        'designators' => '',
        'issue_by' => 'hand',
        'supplied_by' => 'us',
    ];

    /** @param  list<MadeLine>  $lines */
    public static function of(array $lines): DraftForm
    {
        return DraftForm::of(array_map(fn (MadeLine $line): array => [
            'id' => (string) $line->id,
            'component' => $line->item,
            'says' => $line->name,
            'quantity' => Amount::plain($line->quantity),
            'unit' => $line->unit,
            'basis' => $line->basis->value,
            'scrap' => $line->scrap->isZero() ? '' : Amount::plain($line->scrap),
            'step' => (string) $line->step,
            'designators' => $line->designators,
            'issue_by' => $line->issueBy->value,
            'supplied_by' => $line->suppliedBy,
        ], $lines), self::EMPTY, self::CHOICES);
    }
}
