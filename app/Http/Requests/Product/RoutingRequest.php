<?php

namespace App\Http\Requests\Product;

use App\Access\Deed;
use App\Actions\Product\TypedStep;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use App\Http\Requests\TypedRows;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\WorkOrdered;

/** The steps of a routing's draft. */
class RoutingRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'note' => ['nullable', ...Rules::text(200)],
            'lines' => ['nullable', 'array', 'max:500'],
        ];
    }

    /** @return array<int, TypedStep>  by row of the form; rows without a number and a name are passed by */
    public function steps(): array
    {
        $rows = TypedRows::of($this->array('lines'), 'lines', ['number', 'name']);
        $steps = [];
        foreach ($rows->places() as $at) {
            $steps[$at] = $this->step($rows, $at);
        }
        $rows->assertRight();

        return $steps;
    }

    private function step(TypedRows $rows, int $at): TypedStep
    {
        [$workCentre, $supplier] = self::place($rows->text($at, 'at', 20));
        $number = $rows->whole($at, 'number', 1, 9999);
        $number !== null ?: $rows->wrong($at, 'number', 'Give the step a number, such as 10.');
        $minutes = 525_600; // a year

        return new TypedStep(
            $rows->whole($at, 'id', 1, 999_999_999),
            (int) $number,
            $rows->words($at, 'name', 60),
            $workCentre,
            $supplier,
            $rows->number($at, 'setup', new PlainNumber(most: '99999', decimals: 2), '0'),
            $rows->choice($at, 'basis', RunBasis::MinutesPerUnit),
            $rows->number($at, 'rate', new PlainNumber(most: '99999'), '0'),
            $rows->number($at, 'batch', new PlainNumber(above: true, most: '9999999'), '1'),
            $rows->whole($at, 'crew', 0, 99) ?? 1,
            $rows->whole($at, 'wait', 0, $minutes) ?? 0,
            $rows->whole($at, 'move', 0, $minutes) ?? 0,
            $rows->whole($at, 'lead_time_days', 0, 999) ?? 0,
            $this->person()->may(Deed::SeeMoney)
                ? $rows->number($at, 'price', new PlainNumber(most: '9999999'), '0')
                : null,
            ...$this->seldom($rows, $at),
            ...$this->charges($rows, $at),
            ...[$rows->choice($at, 'work_ordered', WorkOrdered::ByHand), $rows->text($at, 'service', 40)],
            ...[$rows->whole($at, 'transport_days', 0, 60) ?? 0],
        );
    }

    /**
     * What opens below each row.
     *
     * @return array{string, string, string, int, bool, string|null, string, string, string|null}
     */
    private function seldom(TypedRows $rows, int $at): array
    {
        return [
            $rows->text($at, 'instructions', 500),
            $rows->text($at, 'family', 30),
            $rows->text($at, 'ways', 120),
            $rows->whole($at, 'setup_crew', 0, 99) ?? 1,
            $rows->text($at, 'unbroken', 3) !== 'yes',
            self::orNone($rows->number($at, 'transfer', new PlainNumber(above: true, most: '9999999'), '')),
            $rows->text($at, 'qualification', 40),
            $rows->text($at, 'tools', 200),
            self::orNone($rows->number($at, 'machine', new PlainNumber(most: '99999'), '')),
        ];
    }

    /** @return array{string|null, string|null} set-up and minimum; null where who types may not see them */
    private function charges(TypedRows $rows, int $at): array
    {
        $euros = new PlainNumber(most: '999999', decimals: 2);

        return $this->person()->may(Deed::SeeMoney)
            ? [$rows->number($at, 'setup_charge', $euros, '0'), $rows->number($at, 'minimum', $euros, '0')]
            : [null, null];
    }

    private static function orNone(string $typed): ?string
    {
        return $typed === '' ? null : $typed;
    }

    /** @return array{int|null, int|null} work centre, supplier; that it is there, the deed asks */
    private static function place(string $typed): array
    {
        $id = preg_match('/^[cs]\d{1,9}$/D', $typed) === 1 ? (int) substr($typed, 1) : null;

        return str_starts_with($typed, 's') ? [null, $id] : [$id, null];
    }
}
