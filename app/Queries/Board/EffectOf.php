<?php

namespace App\Queries\Board;

use App\Models\Order;
use App\Reading\Row;
use App\Shop\PlantDay;
use Illuminate\Support\Facades\DB;

/** What the planning of one booking did to the dates: who became late by it, who is in time again. */
final readonly class EffectOf
{
    /**
     * @param  array<string, int>  $late  minutes by number of the order, the most first
     * @param  list<string>  $saved  numbers
     * @param  int  $bookings  that were planned with it, itself among them
     * @param  list<string>  $broken  promises to customers that are missed now, in words
     * @param  int|null  $worst  order that becomes late by the most
     */
    private function __construct(
        public bool $isPlanned,
        private array $late,
        private array $saved,
        private int $bookings,
        private array $broken,
        public ?int $worst = null,
    ) {
    }

    public static function booking(int $booking): self
    {
        $query = DB::table('plan_run_bookings AS o')
            ->join('plan_runs AS r', 'r.id', 'o.plan_run_id')
            ->where('o.booking_id', $booking)
            ->select(['r.late', 'r.saved'])
            ->selectRaw('(SELECT COUNT(*) FROM plan_run_bookings a WHERE a.plan_run_id = r.id) AS bookings');

        return Row::first($query, self::from(...))
            ?? new self(DB::table('unplanned')->where('booking_id', $booking)->doesntExist(), [], [], 1, []);
    }

    /** "218 (1 day late) becomes late by it. In time again: 220."; nothing where it did nothing. */
    public function says(): string
    {
        $by = $this->bookings === 1 ? 'by it' : "by this or what was booked with it ({$this->bookings} bookings)";
        $late = array_map(
            fn (string|int $number, int $minutes): string => "{$number} (".PlantDay::pace($minutes).')',
            array_keys($this->late),
            $this->late,
        );
        $becomes = count($late) === 1 ? 'becomes' : 'become';

        return trim(
            ($late === [] ? '' : implode(', ', $late)." {$becomes} late {$by}.")
                .($this->broken === [] ? '' : ' '.implode('; ', $this->broken).'.')
                .($this->saved === [] ? '' : ' In time again: '.implode(', ', $this->saved).'.'),
        );
    }

    private static function from(Row $row): self
    {
        /** @var array<int, int> $late */
        $late = json_decode($row->text('late'), true);
        /** @var list<int> $saved */
        $saved = json_decode($row->text('saved'), true);
        /** @var array<int, string> $numbers */
        $numbers = Order::query()->whereKey([...array_keys($late), ...$saved])->pluck('number', 'id')->all();
        $number = fn (int $order): string => $numbers[$order] ?? '?';
        arsort($late);

        return new self(
            true,
            array_combine(array_map($number, array_keys($late)), $late),
            array_map($number, $saved),
            $row->int('bookings'),
            array_map(fn (BrokenPromise $one): string => $one->says(), BrokenPromise::ofOrders(array_keys($late))),
            array_key_first($late),
        );
    }
}
