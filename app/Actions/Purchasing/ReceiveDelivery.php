<?php

namespace App\Actions\Purchasing;

use App\Actions\Files\HangFile;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\Arrivals;
use App\Actions\Stock\Arrived;
use App\Actions\Usage\IssueReceived;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Attachable;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Purchasing\RestOfLine;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * A whole delivery of a supplier in one booking: several lines, several lots a line, more or less than was ordered,
 * things nobody ordered. What becomes of the rest is said with it (W7).
 */
final class ReceiveDelivery
{
    /** So many things are told one by one; of more the moves tell. */
    private const SAID = 2;

    public function __construct(
        private readonly Bookings $bookings,
        private readonly HangFile $files,
        private readonly IssueReceived $issue,
    ) {
    }

    /**
     * @param  list<Delivered>  $rows
     * @param  string  $paper  number of the supplier's delivery note; '' = none
     * @param  bool  $straight  what orders wait for goes straight on to them
     *
     * @throws Refused with a sentence beside each row that is wrong; nothing is written then
     */
    public function handle(
        int $supplier,
        array $rows,
        string $paper,
        Signed $signed,
        bool $straight = false,
    ): Booking {
        $arrivals = array_values(array_filter(array_map(fn (Delivered $row) => $row->arrival, $rows)));
        $lines = array_filter(array_map(fn (Delivered $row): ?int => $row->line, $rows));

        $items = array_map(fn (Arrival $arrival): int => $arrival->itemId, $arrivals);
        $on = $straight ? [$this->issue->part(fn (): array => $items, mustGoOn: false)] : [];

        return $this->bookings->once(BookingKind::GoodsIn, $signed, new Part(
            fn (): Needs => Arrivals::needs($arrivals)->and(Needs::purchaseOrders(
                PurchaseLine::query()->whereKey($lines)->pluck('purchase_order_id'),
            )),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $supplier, $rows, $paper),
        ), ...$on);
    }

    /**
     * @param  list<Delivered>  $rows
     *
     * @throws Refused
     */
    private function write(Ledger $ledger, Held $held, int $supplier, array $rows, string $paper): void
    {
        $name = Supplier::query()->findOrFail($supplier)->name;
        $all = self::arrived($rows);
        if ($all === []) {
            throw PurchaseRefused::nothingCame();
        }
        self::assertAsSeen($held, $supplier, $rows);
        $ledger->says("Delivery of {$name}".($paper === '' ? '' : ", their note {$paper}").':');
        $in = Arrivals::write($ledger, $held, $all);
        $ledger->says(count($in) > self::SAID ? count($in).' things in.' : implode(' ', $in));
        $this->certificates($ledger, $all);
        foreach ($rows as $row) {
            $said = self::rest($ledger, $held, $row);
            $said === '' ?: $ledger->says($said);
        }
    }

    /**
     * @param  list<Delivered>  $rows
     * @return list<Arrived>
     *
     * @throws Refused
     */
    private static function arrived(array $rows): array
    {
        $all = $wrong = [];
        foreach ($rows as $row) {
            try {
                $row->arrival === null ?: array_push($all, ...Arrived::all($row->arrival));
            } catch (Refused $refused) {
                $wrong[$row->field] = $refused->getMessage();
            }
        }

        return $wrong === [] ? $all : throw new Refused($wrong);
    }

    /**
     * Hangs what came along on the lots it came with.
     *
     * @param  list<Arrived>  $all
     */
    private function certificates(Ledger $ledger, array $all): void
    {
        foreach ($all as $one) {
            $file = $one->arrival->certificate;
            // more than is taken is of the same lots
            $lots = $file === null || $one->isOver ? [] : array_filter(array_column($one->lots, 'lot'));
            foreach ($lots as $lot) {
                $ledger->says($this->files->hang($ledger, Attachable::Lot, $lot, $file));
            }
        }
    }

    /**
     * What is said of the rest of a line of which something is still open.
     *
     * @throws Refused beside the row
     */
    private static function rest(Ledger $ledger, Held $held, Delivered $row): string
    {
        if ($row->line === null || $row->rest === RestOfLine::AsSaid) {
            return '';
        }
        $line = PurchaseLine::query()->with('item.unit')->findOrFail($row->line);
        $ledger->touch($held->purchaseOrder($line->purchase_order_id));
        try {
            $said = self::said($line, $row);
        } catch (Refused $refused) {
            throw Refused::because($refused->getMessage(), $row->field);
        }
        $line->save();

        return $said;
    }

    private static function said(PurchaseLine $line, Delivered $row): string
    {
        $open = $line->openQuantity();
        $rest = Amount::plain($open)." {$line->item->unit->code} of {$line->number}";
        if ($row->rest === RestOfLine::OnDay) {
            $on = $row->restOn ?? throw PurchaseRefused::restWithoutDay();
            $line->expected_on === $on ?: ExpectedDay::said($line, $on, $line->asked_for);

            return "The rest, {$rest}, comes on ".Said::day($on).'.';
        }
        if ($row->rest === RestOfLine::Unknown) {
            ExpectedDay::unknown($line, $row->restOn ?? Deliveries::now()->assumedOn());

            return "When the rest comes, {$rest}, nobody knows.";
        }
        $line->cancelled_quantity = (string) BigDecimal::of($line->cancelled_quantity)->plus($open);

        return "The rest, {$rest}, comes no more.";
    }

    /**
     * Two who book one delivery in at once would have it twice.
     *
     * @param  list<Delivered>  $rows
     *
     * @throws Refused beside lines of which something came meanwhile, or that another supplier has
     */
    private static function assertAsSeen(Held $held, int $supplier, array $rows): void
    {
        $wrong = [];
        foreach ($rows as $row) {
            if ($row->line === null) {
                continue;
            }
            $line = PurchaseLine::query()->with('item.unit')->findOrFail($row->line);
            $isTheirs = $held->purchaseOrder($line->purchase_order_id)->supplier_id === $supplier;
            $open = $line->openQuantity();
            if (! $isTheirs || ! $open->isEqualTo($row->seen ?? $open)) {
                $unit = $line->item->unit->code;
                $wrong[$row->field] = $isTheirs
                    ? Amount::plain((string) $row->seen)." {$unit} were to come when the sheet was opened, "
                        .Amount::plain($open).' are now: somebody booked meanwhile. Look whether this is in already.'
                    : "{$line->number} is of another supplier.";
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
    }
}
