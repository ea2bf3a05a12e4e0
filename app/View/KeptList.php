<?php

namespace App\View;

use App\Access\Deed;
use App\Models\Calendar;
use App\Models\WorkCentre;
use App\Queries\Settings\CrewList;
use App\Queries\Settings\PlaceList;
use App\Queries\Settings\UnitList;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/** A short list that is kept as a whole: what its rows hold, and what can be typed into each. */
final readonly class KeptList
{
    /**
     * @param  array<string, array{string, int, int, string}>  $fields  label, width, most characters, input mode
     * @param  array<string, array<int|string, string>>  $choices  what is chosen from, by field
     * @param  string|null  $retired  what ticking one says; null = none can be retired
     * @param  string  $uses  what is counted beside each
     * @param  list<string>  $lacking  what is wanted and not there
     */
    private function __construct(
        public string $title,
        public string $say,
        public string $name,
        public array $fields,
        public ?string $retired,
        public string $uses,
        public DraftForm $form,
        public array $choices = [],
        public array $lacking = [],
    ) {
    }

    /** @param  Collection<int, UnitList>  $units */
    public static function units(Collection $units): self
    {
        $rows = $units->map(fn (UnitList $unit): array => [
            'id' => (string) $unit->id,
            'version' => (string) $unit->version,
            'code' => $unit->code,
            'name' => $unit->name,
            'decimals' => (string) $unit->decimals,
            'rec20' => $unit->rec20,
            'uses' => (string) $unit->items,
        ]);

        return new self(
            'Units',
            'What things are counted in. What is used can be counted finer, never coarser.',
            'units',
            [
                'name' => ['Name', 20, 40, 'text'],
                'decimals' => ['Decimals', 4, 1, 'numeric'],
                'rec20' => ['UN/CEFACT code', 5, 3, 'text'],
            ],
            null,
            'Items',
            self::form($rows, ['name' => '', 'decimals' => '0', 'rec20' => ''], 'units'),
        );
    }

    /** @param  Collection<int, PlaceList>  $places */
    public static function places(Collection $places): self
    {
        $rows = $places->map(fn (PlaceList $place): array => [
            'id' => (string) $place->id,
            'version' => (string) $place->version,
            'code' => $place->code,
            'name' => $place->name,
            'is_retired' => $place->isRetired ? '1' : '0',
            'uses' => (string) $place->items,
        ]);

        return new self(
            'Places',
            'Where things lie in the stores.',
            'places',
            ['name' => ['Name', 30, 60, 'text']],
            'not used any more',
            'Items there',
            self::form($rows, ['name' => '', 'is_retired' => '0'], 'places'),
        );
    }

    /**
     * @param  Collection<int, CrewList>  $crews
     * @param  list<string>  $lacking  what steps ask for and nobody is qualified for
     */
    public static function crews(Collection $crews, array $lacking): self
    {
        $rows = $crews->map(fn (CrewList $one): array => [
            'id' => (string) $one->id,
            'version' => (string) $one->version,
            'code' => $one->number,
            'name' => $one->name,
            'work_centre_id' => (string) $one->workCentreId,
            'calendar_id' => (string) $one->calendarId,
            'qualifications' => str_replace('|', ', ', $one->qualifications),
            'is_retired' => $one->isThere ? '0' : '1',
            'uses' => '',
        ]);
        $empty = [
            'name' => '',
            'work_centre_id' => '',
            'calendar_id' => '',
            'qualifications' => '',
            'is_retired' => '0',
        ];

        return new self(
            'Crews',
            'Who works at which work centre, when, and who can do what. The plan follows; logins stand under People.',
            'crews',
            [
                'name' => ['Name', 24, 80, 'text'],
                'work_centre_id' => ['Works at', 0, 0, ''],
                'calendar_id' => ['Calendar', 0, 0, ''],
                'qualifications' => ['Qualified for', 24, 200, 'text'],
            ],
            'left',
            '',
            self::form($rows, $empty, 'crews'),
            [
                'work_centre_id' => WorkCentre::query()->orderBy('code')->pluck('name', 'id')->all(),
                'calendar_id' => Calendar::offered()->all(),
            ],
            $lacking,
        );
    }

    /**
     * @param  Collection<int, array<string, string>>  $rows
     * @param  array<string, string>  $empty
     */
    private static function form(Collection $rows, array $empty, string $list): DraftForm
    {
        $begin = ['id' => '', 'version' => '', 'code' => '', 'uses' => '', ...$empty];

        return DraftForm::of(
            $rows->values()->all(),
            $begin,
            more: Gate::allows(Deed::SetUp->value) ? 2 : 0,
            list: $list,
        );
    }
}
