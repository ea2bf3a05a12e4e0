<?php

namespace App\Queries\Purchasing;

use App\Models\Mail;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Queries\Bookings\BookedRow;
use App\Queries\Outside\PartAlong;
use App\Queries\Questions\OpenQuestion;
use App\Queries\Questions\QuestionList;
use App\Reading\Named;
use App\Reading\Row;
use App\Shop\WorkCharges;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\PlaceKind;

/** All that the page of one purchase order shows. */
final readonly class PurchasePage
{
    private const BOOKINGS = 100;

    /** So many balances can be chosen, the newest. */
    private const LYING = 200;

    /**
     * @param  Collection<int, PurchaseLineRow>  $lines
     * @param  list<ChainLink>  $chain
     * @param  Collection<int, Collection<int, BoughtFor>>  $for  who gets it, by line
     * @param  array<string, list<HeldUp>>  $waiting  orders that wait, by line
     * @param  Collection<int, Mail>  $mails  newest first
     * @param  array<string, string>  $addresses  of the supplier, by themselves
     * @param  array<int|string, string>  $others  suppliers it could go to
     * @param  Collection<int, OpenQuestion>  $questions  what is open about it
     * @param  Collection<int, BookedRow>  $bookings
     * @param  Collection<int, PartAlong>  $parts  of ours that go along for its lines
     * @param  array<int, array<int|string, string>>  $lying  balances of what came, by item: 'Main stores, lot H-1: 12'
     */
    private function __construct(
        public PurchaseOrder $order,
        public Collection $lines,
        public array $chain,
        public Collection $for,
        public array $waiting,
        public Collection $mails,
        public array $addresses,
        public array $others,
        public Collection $questions,
        public Collection $bookings,
        public array $lying,
        public Collection $parts,
        public int $lumps, // cents of set-ups for work, and of what is missing to minimums
    ) {
    }

    public static function of(int $id): self
    {
        $order = PurchaseOrder::query()->with('supplier.contacts.ways')->findOrFail($id);
        $ordered = $order->lines()->with('item.unit', 'typedUnit', 'costOrder')->get();
        $lines = $ordered->map(fn (PurchaseLine $line): PurchaseLineRow => PurchaseLineRow::from($line));
        $mails = Mail::query()->where('purchase_order_id', $id)->orderByDesc('id')->get();

        return new self(
            $order,
            $lines,
            PurchaseChain::of($order, $lines, $mails->first()?->to),
            BoughtFor::of($id),
            $order->state->isOpen() ? HeldUp::byLine() : [],
            $mails,
            self::addresses($order->supplier),
            self::others($order),
            QuestionList::ofPurchase($id),
            Row::all(self::bookings($id), BookedRow::from(...)),
            self::lying($lines),
            PartAlong::onPurchase($id),
            WorkCharges::lumps($ordered),
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
        return $this->lumps + array_sum($this->lines->map(fn (PurchaseLineRow $line): int => $line->cents())->all());
    }

    /** Of a minimum the supplier asks for, what is missing, in cents; 0 = nothing. */
    public function missingToMinimum(): int
    {
        $least = Cents::of(BigDecimal::one(), $this->order->supplier->minimum_order);

        return $this->order->state->isDraft() ? max(0, $least - $this->total()) : 0;
    }

    /** @return array<int|string, string> lines of goods that are open, for which parts can go along */
    public function goods(): array
    {
        $lines = [];
        foreach ($this->lines as $line) {
            if (! $line->isWork && $this->isOpen($line)) {
                $lines[$line->id] = "{$line->number} {$line->item}";
            }
        }

        return $lines;
    }

    /** @return Collection<int, PurchaseLineRow> that the supplier answered otherwise, and nobody has settled */
    public function asked(): Collection
    {
        return $this->lines->filter(fn (PurchaseLineRow $line): bool => $line->asked !== null);
    }

    /** Something of it came, and something lies in stores that could go back. */
    public function canGoBack(PurchaseLineRow $line): bool
    {
        return ! $line->isWork && $line->received->isPositive() && isset($this->lying[$line->itemId]);
    }

    /**
     * @param  Collection<int, PurchaseLineRow>  $lines
     * @return array<int, array<int|string, string>>
     */
    private static function lying(Collection $lines): array
    {
        $came = $lines->filter(fn (PurchaseLineRow $line): bool => $line->received->isPositive());
        $balances = DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->leftJoin('lots AS l', Named::on('l.id', 'b.lot_id'))
            ->whereIn('b.item_id', $came->map(fn (PurchaseLineRow $line): int => $line->itemId)->unique())
            ->where('p.kind', PlaceKind::Store->value)
            ->where('b.owner_id', 0)
            ->where('b.quantity', '>', 0)
            ->orderByDesc('b.id')
            ->limit(self::LYING)
            ->select(['b.id', 'b.item_id', 'b.quantity', 'b.condition', 'p.name', 'l.code']);
        $lying = [];
        foreach (Row::all($balances, fn (Row $row): Row => $row) as $row) {
            $lying[$row->int('item_id')][$row->int('id')] = $row->text('name')
                .($row->textOrNull('code') === null ? '' : ", {$row->text('code')}")
                .($row->text('condition') === Condition::Free->value ? '' : ", {$row->text('condition')}")
                .': '.Figures::amount($row->text('quantity'));
        }

        return $lying;
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
            )
            ->union(
                DB::table('purchase_entries AS e')
                    ->join('purchase_lines AS l', 'l.id', 'e.purchase_line_id')
                    ->where('l.purchase_order_id', $id)
                    ->select('e.booking_id'),
            )
            ->union(
                DB::table('booking_says AS s')
                    ->join('bill_lines AS b', 'b.bill_id', 's.bill_id')
                    ->join('purchase_lines AS l', 'l.id', 'b.purchase_line_id')
                    ->where('l.purchase_order_id', $id)
                    ->select('s.booking_id'),
            );

        return BookedRow::query()->joinSub($ids, 'ids', 'ids.id', 'b.id')->limit(self::BOOKINGS);
    }
}
