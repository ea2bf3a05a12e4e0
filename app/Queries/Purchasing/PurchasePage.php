<?php

namespace App\Queries\Purchasing;

use App\Models\Mail;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Queries\Bookings\BookedRow;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Quantity\Cents;

/** All that the page of one purchase order shows. */
final readonly class PurchasePage
{
    private const BOOKINGS = 100;

    /**
     * @param  Collection<int, PurchaseLineRow>  $lines
     * @param  list<ChainLink>  $chain
     * @param  array<string, list<HeldUp>>  $waiting  orders that wait, by line
     * @param  Collection<int, Mail>  $mails  newest first
     * @param  array<string, string>  $addresses  of the supplier, by themselves
     * @param  array<int|string, string>  $others  suppliers it could go to
     * @param  Collection<int, BookedRow>  $bookings
     */
    private function __construct(
        public PurchaseOrder $order,
        public Collection $lines,
        public array $chain,
        public array $waiting,
        public Collection $mails,
        public array $addresses,
        public array $others,
        public Collection $bookings,
    ) {
    }

    public static function of(int $id): self
    {
        $order = PurchaseOrder::query()->with('supplier.contacts.ways')->findOrFail($id);
        $lines = $order->lines()->with('item.unit', 'typedUnit')->get()
            ->map(fn (PurchaseLine $line): PurchaseLineRow => PurchaseLineRow::from($line));
        $mails = Mail::query()->where('purchase_order_id', $id)->orderByDesc('id')->get();

        return new self(
            $order,
            $lines,
            PurchaseChain::of($order, $lines, $mails->first()?->to),
            $order->state->isOpen() ? HeldUp::byLine() : [],
            $mails,
            self::addresses($order->supplier),
            self::others($order),
            Row::all(self::bookings($id), BookedRow::from(...)),
        );
    }

    public function canBeSent(): bool
    {
        return $this->order->may(PurchaseDeed::Send);
    }

    public function canBeAnswered(): bool
    {
        return $this->order->may(PurchaseDeed::Answer);
    }

    public function canBeChanged(): bool
    {
        return $this->order->may(PurchaseDeed::Change);
    }

    /** Lines of which something is still wanted. */
    public function isOpen(PurchaseLineRow $line): bool
    {
        return $line->isOpen && $this->canBeChanged();
    }

    /** Cents of all that is wanted. */
    public function total(): int
    {
        return array_sum($this->lines->map(fn (PurchaseLineRow $line): int => $line->cents())->all());
    }

    /** Of a minimum the supplier asks for, what is missing, in cents; 0 = nothing. */
    public function missingToMinimum(): int
    {
        $least = Cents::of(BigDecimal::one(), $this->order->supplier->minimum_order);

        return $this->order->state->isDraft() ? max(0, $least - $this->total()) : 0;
    }

    /** @return Collection<int, PurchaseLineRow> that the supplier answered otherwise, and nobody has settled */
    public function asked(): Collection
    {
        return $this->lines->filter(fn (PurchaseLineRow $line): bool => $line->asked !== null);
    }

    /** @return array<string, string> */
    private static function addresses(Supplier $supplier): array
    {
        $all = [];
        foreach ($supplier->contacts as $contact) {
            foreach ($contact->ways as $way) {
                if ($way->kind === 'mail') {
                    $all[$way->at] = "{$way->at} ({$contact->name})";
                }
            }
        }

        return $all;
    }

    /** @return array<int|string, string> */
    private static function others(PurchaseOrder $order): array
    {
        $names = ['' => 'whom?'];
        $others = Supplier::query()->whereNull('retired_at')->whereKeyNot($order->supplier_id)->orderBy('name')->get();
        foreach ($others as $other) {
            $names[$other->id] = $other->name;
        }

        return $names;
    }

    private static function bookings(int $id): Builder
    {
        $ids = DB::table('booking_says')->where('purchase_order_id', $id)->select('booking_id AS id')
            ->union(
                DB::table('moves AS m')
                    ->join('purchase_lines AS l', 'l.id', 'm.purchase_line_id')
                    ->where('l.purchase_order_id', $id)
                    ->select('m.booking_id'),
            );

        return BookedRow::query()->joinSub($ids, 'ids', 'ids.id', 'b.id')->limit(self::BOOKINGS);
    }
}
