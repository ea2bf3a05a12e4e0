<?php

namespace App\Shop;

use App\Models\Calendar;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\SupplierDays;

/** On which days suppliers work, take orders and deliver; the plant's calendar stands for those who said none. */
final class Suppliers
{
    /** @var array<int, SupplierDays>|null those that have days of their own, by id */
    private ?array $days = null;

    /** @var array<int, WorkingCalendar> of those that have one, by id */
    private array $own = [];

    private readonly SupplierDays $any;

    public function __construct(private readonly WorkingCalendar $plant)
    {
        $this->any = new SupplierDays($plant);
    }

    /** @param  int|null  $supplier  null = made here, or nobody sells it */
    public function days(?int $supplier): SupplierDays
    {
        if ($supplier === null) {
            return $this->any;
        }
        $this->days ??= $this->read();

        return $this->days[$supplier] ?? $this->any;
    }

    /** The calendar a supplier has of his own; null = none, and nobody knows on which days he works. */
    public function own(int $supplier): ?WorkingCalendar
    {
        $this->days ??= $this->read();

        return $this->own[$supplier] ?? null;
    }

    /** @return array<int, SupplierDays> */
    private function read(): array
    {
        $own = DB::table('suppliers')
            ->whereNotNull('calendar_id')
            ->orWhere('transport_days', '>', 0)
            ->orWhere('orders_on', '<>', '')
            ->orWhere('delivers_on', '<>', '')
            ->select(['id', 'calendar_id', 'transport_days', 'orders_on', 'delivers_on']);
        $rows = Row::all($own, fn (Row $row): Row => $row);
        $calendars = $this->calendars(array_values(array_filter(
            $rows->map(fn (Row $row): ?int => $row->intOrNull('calendar_id'))->all(),
        )));
        $days = [];
        foreach ($rows as $row) {
            $own = $calendars[$row->intOrNull('calendar_id') ?? 0] ?? null;
            if ($own !== null) {
                $this->own[$row->int('id')] = $own;
            }
            $days[$row->int('id')] = new SupplierDays(
                $own ?? $this->plant,
                $row->int('transport_days'),
                self::weekdays($row->text('orders_on')),
                self::weekdays($row->text('delivers_on')),
            );
        }

        return $days;
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, WorkingCalendar>
     */
    private function calendars(array $ids): array
    {
        $found = $ids === [] ? collect() : Calendar::query()->with(['shifts', 'days'])->whereKey($ids)->get();
        $calendars = [];
        foreach ($found as $calendar) {
            $calendars[$calendar->id] = $calendar->toCore();
        }

        return $calendars;
    }

    /**
     * @param  string  $kept  such as "1,4"
     * @return list<int>
     */
    public static function weekdays(string $kept): array
    {
        return $kept === '' ? [] : array_map(intval(...), explode(',', $kept));
    }
}
