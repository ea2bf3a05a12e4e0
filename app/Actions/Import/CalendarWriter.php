<?php

namespace App\Actions\Import;

use App\Actions\Schedule\CalendarTrail;
use App\Books\ProductChanges;
use App\Books\RowDiff;
use App\Models\Calendar;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Writes the calendars of an import: their weeks and their days.
 *
 * @phpstan-import-type State from CalendarTrail
 */
final class CalendarWriter
{
    /** @var array<int, array{code: string, before: ?State}> the calendars this changes; null: it is new */
    private array $changed = [];

    public function __construct(private readonly Folder $folder, private readonly ImportResult $result)
    {
    }

    public function weeks(): void
    {
        $byCalendar = collect($this->folder->rowsOf('shifts'))
            ->groupBy(fn (array $row): string => (string) $row['calendar']);
        foreach ($byCalendar as $code => $rows) {
            $calendar = Calendar::coded((string) $code)
                ?? Calendar::query()->create(['code' => (string) $code]);
            $want = self::week($calendar->id, $rows);
            $have = self::sorted(
                DB::table('shifts')
                    ->where('calendar_id', $calendar->id)
                    ->get(['calendar_id', 'weekday', 'from_time', 'to_time', 'is_break'])
                    ->map(fn ($row): array => (array) $row),
            );
            if ($want === $have) {
                $this->result->add('shifts', 'same', count($want));

                continue;
            }
            $this->changes($calendar->id, (string) $code, $calendar->wasRecentlyCreated);
            // a calendar in the file is the whole week
            DB::table('shifts')->where('calendar_id', $calendar->id)->delete();
            DB::table('shifts')->insert($want);
            $this->result->add('shifts', $have === [] ? 'new' : 'changed', count($want));
        }
    }

    public function days(ImportedIds $ids): void
    {
        foreach ($this->folder->rowsOf('holidays') as $row) {
            $key = [
                'calendar_id' => $ids->of(['calendars', 'code'], $row['calendar']),
                'date' => $row['date'],
                'kind' => $row['kind'],
                'from_time' => $row['from'] ?? '',
            ];
            $old = DB::table('calendar_days')->where($key)->first();
            $values = [...$key, 'to_time' => $row['to'] ?? '', 'name' => $row['name']];
            $differs = $old === null || RowDiff::differs((array) $old, $values);
            if ($differs) {
                $this->changes((int) $key['calendar_id'], (string) $row['calendar']);
                DB::table('calendar_days')->updateOrInsert($key, $values);
            }
            $this->result->add('holidays', $old === null ? 'new' : ($differs ? 'changed' : 'same'));
        }
    }

    /** Keeps what of the calendars is another than before. */
    public function trail(ProductChanges $changes): void
    {
        foreach ($this->changed as $id => $one) {
            if ($one['before'] !== null) {
                CalendarTrail::between($changes, $id, $one['code'], $one['before'], CalendarTrail::state($id));
            }
        }
    }

    /** Before the first change of a calendar: what it was. */
    private function changes(int $id, string $code, bool $isNew = false): void
    {
        $this->changed[$id] ??= ['code' => $code, 'before' => $isNew ? null : CalendarTrail::state($id)];
    }

    /**
     * @param  Collection<int, array<string, ?string>>  $rows
     * @return list<array<array-key, mixed>>
     */
    private static function week(int $calendar, Collection $rows): array
    {
        return self::sorted($rows->map(
            fn (array $row): array => [
                'calendar_id' => $calendar,
                'weekday' => (int) $row['weekday'],
                'from_time' => $row['from'],
                'to_time' => $row['to'],
                'is_break' => $row['kind'] === 'break' ? 1 : 0,
            ],
        ));
    }

    /**
     * @param  Collection<int, array<array-key, mixed>>  $spans
     * @return list<array<array-key, mixed>>
     */
    private static function sorted(Collection $spans): array
    {
        return array_values($spans->sortBy(fn (array $row): string => json_encode($row) ?: '')->all());
    }
}
