<?php

namespace App\Actions\Product;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Family;
use App\Models\RevisionKind;
use App\Models\Supplier;
use App\Models\WorkCentre;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\OtherWays;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\WorkOrdered;
use KeepPace\Core\Structure\ItemKind;

/** Keeps the steps of a routing's draft as they were typed, by their numbers. */
final class KeepRouting
{
    private readonly LineWords $words;

    public function __construct(private readonly Bookings $bookings)
    {
        $this->words = new LineWords;
    }

    /**
     * @param  array<int, TypedStep>  $steps  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(int $id, int $version, string $note, array $steps, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($id, $version, $note, $steps, $signed): void {
                $draft = Drafts::held(RevisionKind::Routing, $id, $version);
                $changes = new ProductChanges($ledger->booking->id);
                $stand = new RevisionLines(RevisionKind::Routing, $changes);
                $have = $stand->of($id);
                $stand->replace($id, Drafts::record($draft), $have, $this->judged($steps, $have));
                if ($draft->note !== $note) {
                    $changes->field('routings', $id, Drafts::record($draft), 'why', $draft->note, $note);
                }
                $changes->write();
                $draft->note = $note;
                Drafts::changed($draft, $signed->person);
                $count = count($steps) === 1 ? '1 step' : count($steps).' steps';
                $ledger->says('Draft '.$draft->label()." kept with {$count}.");
            },
        ));
    }

    /**
     * @param  array<int, TypedStep>  $steps
     * @param  list<array<string, mixed>>  $have  as they stand
     * @return list<array<string, mixed>>
     *
     * @throws Refused
     */
    private function judged(array $steps, array $have): array
    {
        $known = array_column($have, null, 'id');
        $rows = $wrong = $seen = [];
        foreach ($steps as $at => $step) {
            foreach ($this->wrong($step) as $field => $says) {
                $wrong["lines.{$at}.{$field}"] = $says;
            }
            if (isset($seen[$step->number])) {
                $wrong["lines.{$at}.number"] =
                    "Step {$step->number} is there already: {$seen[$step->number]}. Give each its own number.";
            }
            $seen[$step->number] = $step->name;
            $rows[$step->number] = $this->row($step, $known);
            unset($known[$step->id ?? 0]); // a step stands once
        }
        ksort($rows);

        return $wrong === [] ? array_values($rows) : throw new Refused($wrong);
    }

    /** @return array<string, string> a sentence by field */
    private function wrong(TypedStep $step): array
    {
        return array_filter([
            'at' => self::wrongPlace($step),
            'rate' => $step->supplier === null
                && $step->basis === RunBasis::UnitsPerHour
                && ! BigDecimal::of($step->rate)->isPositive()
                ? 'How many an hour? Type a number above 0.'
                : null,
            'ways' => $this->wrongWays($step),
            'service' => $this->wrongService($step),
        ], is_string(...));
    }

    private static function wrongPlace(TypedStep $step): ?string
    {
        $isThere = $step->supplier === null
            ? WorkCentre::query()->whereKey($step->workCentre)->exists()
            : Supplier::query()->whereKey($step->supplier)->exists();

        return $isThere ? null : 'Choose where it is done: a work centre, or a supplier.';
    }

    private function wrongService(TypedStep $step): ?string
    {
        $item = $this->words->service($step->service);

        return match (true) {
            $step->service === '' => null,
            $item === null => "No item has the number {$step->service}.",
            $item->kind !== ItemKind::Outside => "{$item->label()} is {$item->kind->label()}, no outside service.",
            default => null,
        };
    }

    private function wrongWays(TypedStep $step): ?string
    {
        if ($step->ways === '') {
            return null;
        }
        if (preg_match(OtherWays::PATTERN, $step->ways) !== 1) {
            return "'{$step->ways}' is not such as SAW2|BENCH:150 (work centres, with the time in percent).";
        }
        if ($step->supplier !== null && BigDecimal::of($step->rate)->isZero()) {
            return 'A supplier does this step: say at run how long it would take here, too.';
        }
        foreach (OtherWays::read($step->ways) as $code => $percent) {
            try {
                $centre = $this->words->workCentre((string) $code);
            } catch (Refused $refused) {
                return $refused->getMessage();
            }
            if ($centre === $step->workCentre) {
                return mb_strtoupper((string) $code).' does it already: another work centre is one besides.';
            }
            if ($percent < 10) {
                return 'Less than 10 % of the time is a slip of the finger.';
            }
        }

        return null;
    }

    /**
     * @param  array<int, array<string, mixed>>  $known  as they stand, by id
     * @return array<string, mixed>
     */
    private function row(TypedStep $step, array $known): array
    {
        $isHere = $step->supplier === null;

        return [
            ...($step->id !== null && isset($known[$step->id]) ? ['id' => $step->id] : []),
            'number' => $step->number,
            'name' => $step->name,
            'work_centre_id' => $step->workCentre,
            'supplier_id' => $step->supplier,
            ...self::times($step),
            'crew' => $step->crew,
            'wait_minutes' => $step->wait,
            'move_minutes' => $step->move,
            'lead_time_days' => $isHere ? 0 : $step->leadTimeDays,
            'transport_days' => $isHere ? 0 : $step->transportDays,
            'work_ordered' => $isHere ? WorkOrdered::ByHand->value : $step->workOrdered->value,
            ...self::charges($step, $known[$step->id ?? 0] ?? []),
            'service_item_id' => $this->words->service($step->service)?->id,
            'instructions' => $step->instructions,
            'family_id' => $step->family === '' ? null : Family::called($step->family)->id,
            'setup_crew' => $step->setupCrew,
            'may_be_interrupted' => (int) $step->mayBeInterrupted,
            'transfer_quantity' => $isHere ? $step->transfer : null,
            'qualification' => $isHere ? $step->qualification : '',
            'tools' => $step->tools,
            'ways' => $step->ways,
        ];
    }

    /** @return array<string, string|null> how long it takes; a supplier's step too can have a place and a time here */
    private static function times(TypedStep $step): array
    {
        $isTimed = $step->supplier === null || $step->ways !== '';

        return [
            'setup_minutes' => $isTimed ? $step->setup : '0',
            'run_basis' => $step->basis->value,
            'run_rate' => $isTimed ? $step->rate : '0',
            'batch' => $step->batch,
            'machine_minutes' => $isTimed ? $step->machine : null,
        ];
    }

    /**
     * What the supplier charges; it stays where who types may not see it.
     *
     * @param  array<string, mixed>  $stands
     * @return array<string, mixed>
     */
    private static function charges(TypedStep $step, array $stands): array
    {
        $isHere = $step->supplier === null;
        $cents = fn (?string $euros, string $column): mixed => $euros === null
            ? $stands[$column] ?? 0
            : Cents::of(BigDecimal::one(), $euros);

        return [
            'price' => $isHere ? '0' : $step->price ?? $stands['price'] ?? '0',
            'setup_cents' => $isHere ? 0 : $cents($step->setupCharge, 'setup_cents'),
            'minimum_cents' => $isHere ? 0 : $cents($step->minimum, 'minimum_cents'),
        ];
    }
}
