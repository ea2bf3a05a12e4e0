<?php

namespace App\Queries\Board;

use App\Reading\Row;
use App\Shop\ShopState;
use App\Wording\Figures;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * What was worked on in the last days, from its start to the last count; the board draws it to the left of now. On
 * which of a work centre's machines it was is not booked.
 */
final readonly class DoneWork
{
    /** So many days are drawn. */
    public const DAYS = 4;

    /**
     * @param  int  $from  UTC minute
     * @param  int  $to  UTC minute
     * @param  string  $says  "40 good, 1 scrap"
     */
    private function __construct(
        public int $centre,
        public int $from,
        public int $to,
        public int $order,
        public string $orderNumber,
        public int $number,
        public string $name,
        public string $says,
    ) {
    }

    /** @return list<self> in order of time */
    public static function lately(CarbonImmutable $now): array
    {
        $counted = DB::table('bookings AS b')
            ->join('step_entries AS e', 'e.booking_id', 'b.id')
            ->whereNull('b.reverses_id')
            ->whereNotIn('b.id', DB::table('bookings')->whereNotNull('reverses_id')->select('reverses_id'))
            ->where('b.entered_at', '>=', $now->subDays(self::DAYS))
            ->whereRaw('e.good + e.scrap > 0')
            ->groupBy('e.order_step_id')
            ->select('e.order_step_id')
            ->selectRaw('SUM(e.good) AS good, SUM(e.scrap) AS scrap')
            ->selectRaw('MIN(b.entered_at) AS first, MAX(b.entered_at) AS last')
            ->selectRaw('MIN(b.entered_at - INTERVAL e.machine_minutes MINUTE) AS begun');
        // what is counted of a step is one row before its names come to it
        $rows = DB::query()
            ->fromSub($counted, 'c')
            ->join('order_steps AS s', 's.id', 'c.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereNotNull('s.work_centre_id')
            ->orderBy('from')
            ->orderBy('c.order_step_id')
            ->select(['s.work_centre_id', 's.number', 's.name', 'o.id AS order_id', 'o.number AS order_number'])
            ->addSelect(['c.good', 'c.scrap'])
            ->selectRaw(ShopState::minuteOf('LEAST(COALESCE(s.started_at, c.first), c.begun)').' AS `from`')
            ->selectRaw(ShopState::minuteOf('c.last').' AS `to`');

        return array_values(Row::all($rows, self::from(...))->all());
    }

    public static function from(Row $row): self
    {
        $scrap = $row->decimal('scrap');

        return new self(
            $row->int('work_centre_id'),
            $row->int('from'),
            $row->int('to'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->int('number'),
            $row->text('name'),
            Figures::amount((string) $row->decimal('good')).' good'
                .($scrap->isZero() ? '' : ', '.Figures::amount((string) $scrap).' scrap'),
        );
    }

    /** @return list<int|string> as the board's script reads it */
    public function drawn(): array
    {
        return [
            $this->centre,
            $this->from,
            $this->to,
            $this->order,
            $this->orderNumber,
            $this->number,
            $this->name,
            $this->says,
        ];
    }
}
