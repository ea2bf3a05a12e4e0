<?php

namespace App\View;

use App\Shop\MadeLine;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

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

    private const BACK = [
        'id' => '',
        'component' => '',
        'says' => '',
        'quantity' => '',
        'unit' => '',
        'basis' => 'unit',
        'gives' => 'by_product',
        'share_rule' => 'set_value',
        'share' => '',
    ];

    private const BACK_HELP = [
        'Comes back' => 'What the order gives beside its product: a co-product is wanted, a by-product is left over, a '
            .'recovered part was taken out of something.',
        'Carries cost' => 'A co-product shares the cost of the order with the product; the others go into stock at a '
            .'set value, by which the product is the cheaper.',
        'Value or %' => 'Euros a stock unit, or per cent of the cost. Empty: what the item costs.',
    ];

    /** @param  list<MadeLine>  $lines  what comes back */
    public static function back(array $lines): DraftForm
    {
        $choices = ['basis' => self::CHOICES['basis']];
        foreach (OutputKind::BESIDE as $kind) {
            $choices['gives'][$kind->value] = $kind->label();
        }
        foreach (array_filter(ShareRule::cases(), fn (ShareRule $one): bool => $one !== ShareRule::Rest) as $rule) {
            $isMoney = in_array($rule, [ShareRule::Value, ShareRule::SetValue], true);
            $choices['share_rule'][$rule->value] = $rule->label().($isMoney ? ', € each' : '');
        }

        return DraftForm::of(array_map(fn (MadeLine $line): array => [
            'id' => (string) $line->id,
            'component' => $line->item,
            'says' => $line->name,
            'quantity' => Amount::plain($line->quantity),
            'unit' => $line->unit,
            'basis' => $line->basis->value,
            'gives' => $line->gives->value ?? '',
            'share_rule' => $line->shareRule->value ?? '',
            'share' => $line->share === null ? '' : Amount::plain($line->share),
        ], $lines), self::BACK, $choices, more: 1, list: 'back', help: self::BACK_HELP);
    }

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
