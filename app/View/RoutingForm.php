<?php

namespace App\View;

use App\Access\Deed;
use App\Models\Supplier;
use App\Models\WorkCentre;
use App\Queries\Product\RoutingRow;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Routing\WorkOrdered;

/** The steps of a routing's draft as a form. */
final class RoutingForm
{
    private const BASES = [
        'min_per_unit' => 'min each',
        'units_per_hour' => 'an hour',
        'min_per_batch' => 'min a batch',
    ];

    private const EMPTY = [
        'id' => '',
        'number' => '',
        'name' => '',
        'at' => '',
        'setup' => '',
        'basis' => 'min_per_unit',
        'rate' => '',
        'batch' => '',
        'crew' => '1',
        'wait' => '',
        'move' => '',
        'lead_time_days' => '',
        'transport_days' => '',
        'service' => '',
        'price' => '',
        'setup_charge' => '',
        'minimum' => '',
        'work_ordered' => '',
        'ways' => '',
        'family' => '',
        'setup_crew' => '1',
        'unbroken' => '',
        'transfer' => '',
        'qualification' => '',
        'tools' => '',
        'machine' => '',
        'instructions' => '',
    ];

    private const FIGURES = [
        'batch' => 'Batch of',
        'crew' => 'Crew',
        'wait' => 'Wait, minutes',
        'move' => 'Move, minutes',
    ];

    private const WHEN = 'Its work is ordered: release, pieces, confirmed (empty: by hand)';

    private const HELP = [
        'Step' => 'Steps are done in the order of their numbers; tens leave room between.',
        'At' => 'The work centre that does it, or the supplier it goes to.',
        'Setup, min' => 'Once for the order, before the first piece.',
        'Run' => 'Minutes for one piece, pieces in an hour, or minutes for one batch.',
        'Batch of' => 'Pieces of one batch, where the run is said for a batch.',
        'Crew' => 'People while it runs; 0: it runs unattended, on after the shift.',
        'Wait, min' => 'After it, such as cooling or drying; goes on in closed time.',
        'Move, min' => 'To the next step, in open time.',
        'Or at' => 'Other work centres that can do it; LASER2:150 takes half as long again. '
            .'Of a supplier\'s step: where it could be done here, with setup and run beside it.',
        'Setup family' => 'Steps of one family follow one another without a changeover.',
        'People to set it up' => 'Where they are others in number than those who run it.',
        'Not over a night' => 'It needs one open stretch of its whole length.',
        'Pass on in lots of' => 'So many pieces go on together: the next step begins when the first lot is through.',
        'Who is qualified for' => 'Only people who have it, under Crews, are planned for it.',
        'Machine, min each' => 'How long it is held for a piece, where that is not the run: then the run is what '
            .'people work at it, and nobody is bound to it while it runs.',
        'Tools' => 'What has to be fetched; stands at the station and on the list for the work centre.',
        'Service, its item number' => 'An item of kind outside service: then price, set-up, minimum and days are as '
            .'agreed with the supplier on the page of that item, where they are. Of a step done here: the suppliers of '
            .'that service could do it, if it is late.',
        'Set-up charge of the supplier, €' => 'Once for an order, whatever its pieces.',
        'Minimum of the supplier, €' => 'The pieces of an order cost no less than this.',
        'Days at the supplier' => 'From when it is there to when it goes back: his working days where his calendar is '
            .'known, else days one after the other.',
        'Days on the way, there and back' => 'On top of those, and counted like them.',
        self::WHEN => 'Release: put on the draft to the supplier when the order is released. Pieces: when the first of '
            .'them reach the step. Confirmed: when the supplier of the step before has confirmed his work.',
        'What to look out for' => 'Stands at the station beside the job.',
    ];

    private const MONEY = ['price', 'setup_charge', 'minimum'];

    /** What is seldom needed, and hidden from who may not see money. */
    private const MORE = [
        'ways' => 'Or at (SAW2:150: half as long again)',
        'family' => 'Setup family (what is set up alike)',
        'setup_crew' => 'People to set it up',
        'unbroken' => 'yes: not over a night or a break',
        'machine' => 'Machine, min each, if not the run',
        'transfer' => 'Pass on in lots of',
        'qualification' => 'Who is qualified for',
        'tools' => 'Tools',
        'lead_time_days' => 'Days at the supplier',
        'transport_days' => 'Days on the way, there and back',
        'service' => 'Service, its item number',
        'price' => 'Price of the supplier, € each',
        'setup_charge' => 'Set-up charge of the supplier, €',
        'minimum' => 'Minimum of the supplier, €',
        'work_ordered' => self::WHEN,
        'instructions' => 'What to look out for',
    ];

    /** @param  Collection<int, RoutingRow>  $steps */
    public static function of(Collection $steps): DraftForm
    {
        return DraftForm::of($steps->map(self::row(...)), self::EMPTY, [
            'basis' => self::BASES,
            'figures' => self::FIGURES,
            'at' => self::places(),
            'more' => self::more(),
        ], more: 2, help: self::HELP);
    }

    /** @return array<string, string> as it stands in the form */
    private static function row(RoutingRow $step): array
    {
        $some = fn (string|int $of): string => in_array((string) $of, ['', '0'], true) ? '' : (string) $of;
        $plain = fn (?BigDecimal $of): string => $of === null ? '' : Amount::plain($of);

        return [
            'id' => (string) $step->id,
            'number' => (string) $step->number,
            'name' => $step->name,
            'at' => $step->place(),
            'setup' => $some(Amount::plain($step->setup)),
            'basis' => $step->basis->value,
            'rate' => $some(Amount::plain($step->rate)),
            'batch' => Amount::plain($step->batch) === '1' ? '' : Amount::plain($step->batch),
            'crew' => (string) $step->crew,
            'wait' => $some($step->wait),
            'move' => $some($step->move),
            'lead_time_days' => $some($step->leadTimeDays),
            'transport_days' => $some($step->transportDays),
            ...self::outside($step),
            'ways' => $step->ways,
            'family' => $step->family,
            'setup_crew' => (string) $step->setupCrew,
            'unbroken' => $step->isUnbroken ? 'yes' : '',
            'transfer' => $plain($step->transfer),
            'qualification' => $step->qualification,
            'tools' => $step->tools,
            'machine' => $plain($step->machine),
            'instructions' => $step->instructions,
        ];
    }

    /** @return array<string, string> what it costs there, and when the work is ordered */
    private static function outside(RoutingRow $step): array
    {
        $price = Amount::plain($step->charge->price);

        return [
            'service' => $step->service,
            'price' => $price === '0' ? '' : $price,
            'setup_charge' => Figures::typedEuros($step->charge->setup),
            'minimum' => Figures::typedEuros($step->charge->minimum),
            'work_ordered' => $step->workOrdered === WorkOrdered::ByHand ? '' : $step->workOrdered->value,
        ];
    }

    /** @return array<string, array<string, string>> work centres and suppliers, as they are chosen */
    private static function places(): array
    {
        $centres = WorkCentre::query()->orderBy('code')->get();
        $suppliers = Supplier::query()->whereNull('retired_at')->orderBy('name')->get();

        return [
            'Here' => $centres->mapWithKeys(fn (WorkCentre $one): array => ["c{$one->id}" => $one->name])->all(),
            'At a supplier' => $suppliers
                ->mapWithKeys(fn (Supplier $one): array => ["s{$one->id}" => $one->name])
                ->all(),
        ];
    }

    /** @return array<string, string> */
    private static function more(): array
    {
        return Gate::allows(Deed::SeeMoney->value) ? self::MORE : array_diff_key(self::MORE, array_flip(self::MONEY));
    }
}
