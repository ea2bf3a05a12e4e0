<?php

namespace App\Queries\Outside;

use App\Models\Consignment;
use App\Queries\Bookings\BookedRow;
use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A consignment with its lines and what was booked on it; its paper and labels are made of the same. */
final readonly class ConsignmentPage
{
    /**
     * @param  Collection<int, SentLine>  $lines
     * @param  Collection<int, BookedRow>  $bookings  newest first
     * @param  list<string>  $days  likely ones on which something is back
     */
    private function __construct(
        public Consignment $consignment,
        public Collection $lines,
        public Collection $bookings,
        public array $days,
        public string $from, // who sends it, with the address
    ) {
    }

    public static function of(int $id): self
    {
        $consignment = Consignment::query()->with('supplier')->findOrFail($id);
        $deliveries = Deliveries::now();
        $bookings = BookedRow::query()->whereIn('b.id', fn (Builder $of) => $of
            ->from('consignment_entries AS e')
            ->join('consignment_lines AS l', 'l.id', 'e.consignment_line_id')
            ->where('l.consignment_id', $id)
            ->select('e.booking_id'));

        return new self(
            $consignment,
            Row::all(self::lines($id), fn (Row $row): SentLine => SentLine::from($row, $deliveries)),
            Row::all($bookings->limit(BookedRow::PAGE), BookedRow::from(...)),
            $deliveries->likely(),
            trim(Settings::text(Setting::ShopName)."\n".Settings::text(Setting::ShopAddress)),
        );
    }

    /** "30 of 42 pieces are back.", "All of it is there.", "All of it is back." */
    public function says(): string
    {
        $sent = $there = BigDecimal::zero();
        foreach ($this->lines as $line) {
            $sent = $sent->plus($line->pieces->sent);
            $there = $there->plus($line->there());
        }

        return match (true) {
            $sent->isZero() => 'It was taken back: nothing of it went.',
            $there->isZero() => 'All of it is back.',
            $there->isEqualTo($sent) => 'All of it is there.',
            default => 'Part of it is back.',
        };
    }

    private static function lines(int $id): Builder
    {
        $next = DB::table('order_steps AS n')
            ->whereColumn('n.order_id', 's.order_id')
            ->whereColumn('n.number', '>', 's.number')
            ->selectRaw('MIN(n.number)');

        return DB::table('consignment_lines AS l')
            ->join('order_steps AS s', 's.id', 'l.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.consignment_id', $id)
            ->orderBy('l.position')
            ->select(['l.*', 's.order_id', 'o.number AS order_number', 'i.name AS item', 'i.number AS item_number'])
            ->addSelect(['u.code AS unit', 's.number', 's.name'])
            ->selectSub($next, 'next_number');
    }
}
