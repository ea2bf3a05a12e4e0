<?php

namespace App\Queries\Partners;

use App\Models\Attachable;
use App\Models\PartnerKind;
use App\Models\Supplier;
use App\Queries\Files\HangingFile;
use App\Queries\Outside\AtSuppliers;
use App\Queries\Outside\ListedClaim;
use App\Queries\Outside\PiecesThere;
use App\Queries\ProductTrail;
use App\Queries\Purchasing\HeldUp;
use App\Queries\Purchasing\OpenPurchase;
use App\Queries\Purchasing\PurchaseList;
use App\Reading\Cut;
use App\Shop\Suppliers;
use App\Wording\Figures;
use App\Wording\Weekdays;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A supplier with what is known of them, what is to come and what they sell. */
final readonly class SupplierPage
{
    /** What their files hang on. */
    public const FILES = Attachable::Supplier;

    /** So many of their items are shown. */
    private const ITEMS = 200;

    /**
     * @param  Cut<OpenPurchase>  $lines  still to come
     * @param  array<string, list<HeldUp>>  $waiting  orders that wait, by purchase line
     * @param  Collection<int, PiecesThere>  $outside  pieces that are with them
     * @param  Cut<ListedClaim>  $claims  what they are to make good
     * @param  Cut<PartnerOrder>  $orders
     * @param  Cut<SoldItem>  $items
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     * @param  Collection<int, HangingFile>  $files
     */
    private function __construct(
        public Supplier $partner,
        private string $calendar,
        public Cut $lines,
        public array $waiting,
        public Collection $outside,
        public Cut $claims,
        public Cut $orders,
        public Cut $items,
        public Collection $changes,
        public Collection $files,
    ) {
    }

    public static function of(int $id): self
    {
        $supplier = Supplier::query()->with('contacts.ways')->findOrFail($id);
        $calendar = DB::table('calendars')->where('id', $supplier->calendar_id)->value('code');
        $lines = PurchaseList::ofSupplier($id);

        return new self(
            $supplier,
            is_string($calendar) ? $calendar : '',
            $lines,
            $lines->rows->isEmpty() ? [] : HeldUp::byLine(),
            AtSuppliers::of($id),
            ListedClaim::of($id),
            PartnerOrder::of(PartnerKind::Supplier, $id),
            Cut::read(self::sold($id), self::ITEMS, SoldItem::from(...)),
            ProductTrail::of(PartnerKind::Supplier->value, $id),
            HangingFile::on(self::FILES, $id),
        );
    }

    /** What their lines that are open come to, in euros. */
    public function toCome(): BigDecimal
    {
        $value = fn (OpenPurchase $line): BigDecimal => $line->toCome()->multipliedBy($line->price);
        $values = $this->lines->rows->map($value);

        return BigDecimal::sum(0, ...$values->all())->toScale(2, RoundingMode::HALF_UP);
    }

    public function hasMinimum(): bool
    {
        return BigDecimal::of($this->partner->minimum_order)->isPositive();
    }

    /** @return array<string, string> what is known, by what it is called; money apart */
    public function facts(): array
    {
        $supplier = $this->partner;
        $transport = $supplier->transport_days;

        return array_filter([
            'Address' => $supplier->address,
            'Terms' => $supplier->terms,
            'Works' => $this->calendar === '' ? 'as the plant does' : "by calendar {$this->calendar}",
            'Takes orders' => Weekdays::says(Suppliers::weekdays($supplier->orders_on)),
            'Delivers' => Weekdays::says(Suppliers::weekdays($supplier->delivers_on)),
            'On the way' => $transport === 0 ? '' : Figures::count($transport, 'working day'),
        ], fn (string $says): bool => $says !== '');
    }

    private static function sold(int $supplier): Builder
    {
        $prices = DB::table('supplier_prices AS p')
            ->whereColumn('p.supplier_item_id', 't.id')
            ->orderBy('p.from_quantity')
            ->limit(1)
            ->select('p.price');

        return DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('supplier_items AS t', fn (JoinClause $join) => $join
                ->on('t.item_id', 'i.id')
                ->where('t.supplier_id', $supplier))
            ->whereNull('i.retired_at')
            ->where(fn (Builder $any) => $any->whereNotNull('t.id')->orWhere('i.supplier_id', $supplier))
            ->orderBy('i.number')
            ->select(['i.id', 'i.number', 'i.name', 'u.code AS unit', 't.number AS theirs', 't.minimum_quantity'])
            ->selectRaw('COALESCE(NULLIF(t.lead_time_days, 0), i.lead_time_days) AS lead_time_days')
            ->selectRaw('i.supplier_id <=> ? AS is_usual', [$supplier])
            ->selectSub($prices, 'price');
    }
}
