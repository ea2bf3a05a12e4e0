<?php

namespace App\Queries\Outside;

use App\Models\Consignment;
use App\Queries\Bookings\BookedRow;
use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\Deliveries;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Sent;

/** A consignment with its lines and what was booked on it; its paper and labels are made of the same. */
final readonly class ConsignmentPage
{
    /**
     * @param  Collection<int, SentLine>  $lines  pieces of steps
     * @param  Collection<int, SentPart>  $parts  of ours that went along
     * @param  Collection<int, BookedRow>  $bookings  newest first
     * @param  list<string>  $days  likely ones on which something is back
     */
    private function __construct(
        public Consignment $consignment,
        public Collection $lines,
        public Collection $parts,
        public Collection $bookings,
        public array $days,
        public string $from, // who sends it, with the address
    ) {
    }

    public static function of(int $id): self
    {
        $consignment = Consignment::query()->with('supplier', 'from')->findOrFail($id);
        $deliveries = Deliveries::now();
        $bookings = BookedRow::query()->whereIn('b.id', fn (Builder $of) => $of
            ->from('consignment_entries AS e')
            ->join('consignment_lines AS l', 'l.id', 'e.consignment_line_id')
            ->where('l.consignment_id', $id)
            ->select('e.booking_id'));

        return new self(
            $consignment,
            Row::all(self::lines($id), fn (Row $row): SentLine => SentLine::from($row, $deliveries)),
            SentPart::of($id),
            Row::all($bookings->limit(BookedRow::PAGE), BookedRow::from(...)),
            $deliveries->likely(),
            self::from($consignment),
        );
    }

    /** The shop, and where it is collected if that is not here. */
    private static function from(Consignment $consignment): string
    {
        $at = $consignment->from;

        return trim(implode("\n", array_filter([
            Settings::text(Setting::ShopName),
            Settings::text(Setting::ShopAddress),
            $at === null ? '' : "Collected at {$at->name}",
            $at->address ?? '',
        ])));
    }

    /** "All of it is there.", "Part of it is back or used.", "All of it is back." */
    public function says(): string
    {
        $sent = $there = $gone = false;
        foreach ([...$this->lines->pluck('pieces'), ...$this->parts->pluck('amounts')] as $of) {
            if ($of instanceof Sent) {
                $sent = $sent || $of->sent->isPositive();
                $there = $there || $of->there()->isPositive();
                $gone = $gone || $of->gone()->isPositive();
            }
        }

        return match (true) {
            ! $sent => 'It was taken back: nothing of it went.',
            ! $there => $this->parts->isEmpty() ? 'All of it is back.' : 'Nothing of it is there any more.',
            ! $gone => 'All of it is there.',
            default => $this->parts->isEmpty() ? 'Part of it is back.' : 'Part of it is back or used.',
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
