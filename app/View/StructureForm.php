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

    private const HELP = [
        'Component' => 'What goes in: a number, or part of a name to find it.',
        'Quantity' => 'So much for one piece; with per order, so much for the whole order.',
        'Unit' => 'In which the quantity is said, if not the stock unit of the component.',
        'Per' => 'Each: it grows with the order. Order: it is taken once, however many are made.',
        'Scrap %' => 'Of what is taken this much is lost: of 4 % in 100, 104.17 are planned.',
        'Step' => 'By which it has to be there. Empty: the first. A part for step 60 does not stop step 10.',
        'Issued by' => 'Hand: on a usage slip. Backflush: booked when the step counts its pieces.',
        'From' => 'Us: from our stores. Customer: of their own material, which has no value here.',
        'Designators' => 'Where it sits, such as R1 R2, or what the drawing calls it.',
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
        ], $lines), self::EMPTY, self::CHOICES, help: self::HELP);
    }
}
