<?php

namespace App\Queries;

use App\Models\PartnerKind;
use App\Reading\Like;
use App\Reading\Row;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Finds what a number, name or scanned code stands for. */
final class Find
{
    /** Of each kind so many are shown. */
    private const MOST = 8;

    private readonly string $inside;

    private readonly string $key;

    private function __construct(private readonly string $text)
    {
        $this->inside = Like::inside($text);
        $this->key = Like::beginsKey($text); // numbers are asked for by what they are known by
    }

    /**
     * What it is exactly first; else what it may be.
     *
     * @return Collection<int, Found>
     */
    public static function anything(string $text): Collection
    {
        $text = trim($text);
        if ($text === '') {
            return collect();
        }
        $find = new self($text);

        return collect([
            ...$find->orders(),
            ...$find->customerOrders(),
            ...$find->items(),
            ...$find->called(),
            ...$find->lots(),
            ...$find->workCentres(),
            ...$find->partners(PartnerKind::Customer),
            ...$find->partners(PartnerKind::Supplier),
            ...$find->purchases(),
            ...$find->slips(),
        ])->sortByDesc('exact')->values();
    }

    /** @return Collection<int, Found> */
    private function orders(): Collection
    {
        $query = DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->where('o.number_key', 'like', $this->key)
            ->orderByDesc('o.id')
            ->limit(self::MOST)
            ->select(['o.id', 'o.number AS code', 'i.name', 'o.state']);

        return $this->all('order', $query, fn (Row $row): array => [
            route('orders.show', $row->int('id')),
            "{$row->text('code')} {$row->text('name')}, {$row->text('state')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function customerOrders(): Collection
    {
        $query = DB::table('customer_orders AS o')
            ->join('customers AS c', 'c.id', 'o.customer_id')
            ->where(
                fn (Builder $any) => $any
                    ->where('o.number_key', 'like', $this->key)
                    ->orWhere('o.reference', 'like', $this->inside)
                    ->orWhere('c.name', 'like', $this->inside),
            )
            ->orderByDesc('o.id')
            ->limit(self::MOST)
            ->select(['o.id', 'o.number AS code', 'c.name', 'o.reference']);

        return $this->all('customer order', $query, fn (Row $row): array => [
            route('customer-orders.show', $row->int('id')),
            "{$row->text('code')} {$row->text('name')} {$row->textOrNull('reference')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function items(): Collection
    {
        $query = DB::table('items')
            ->where(fn (Builder $any) => $any
                ->where($this->codeOrName('number_key'))
                ->orWhere('makers_number', 'like', $this->key))
            ->orderBy('number')
            ->limit(self::MOST)
            ->select(['id', 'number AS code', 'name']);

        return $this->all('item', $query, fn (Row $row): array => [
            route('stock.show', $row->int('id')),
            "{$row->text('code')} {$row->text('name')}",
        ]);
    }

    /** @return Collection<int, Found> items by what customers call them */
    private function called(): Collection
    {
        $query = DB::table('customer_items AS n')
            ->join('items AS i', 'i.id', 'n.item_id')
            ->join('customers AS c', 'c.id', 'n.customer_id')
            ->where('n.number_key', 'like', $this->key)
            ->orderBy('n.number')
            ->limit(self::MOST)
            ->select(['i.id', 'i.number', 'i.name', 'n.number AS code', 'c.name AS customer']);

        return $this->all('item', $query, fn (Row $row): array => [
            route('items.show', $row->int('id')),
            "{$row->text('number')} {$row->text('name')}, {$row->text('code')} by {$row->text('customer')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function lots(): Collection
    {
        $query = DB::table('lots AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->where('l.code_key', 'like', $this->key)
            ->orderByDesc('l.id')
            ->limit(self::MOST)
            ->select(['l.item_id', 'l.code', 'i.name']);

        return $this->all('lot or serial', $query, fn (Row $row): array => [
            route('stock.show', $row->int('item_id')).'?lot='.urlencode($row->text('code')),
            "{$row->text('code')} of {$row->text('name')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function workCentres(): Collection
    {
        $query = DB::table('work_centres')
            ->where($this->codeOrName('code_key'))
            ->limit(self::MOST)
            ->select(['id', 'code', 'name']);

        return $this->all('work centre', $query, fn (Row $row): array => [
            route('station.show', $row->int('id')),
            "{$row->text('code')} {$row->text('name')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function partners(PartnerKind $kind): Collection
    {
        $query = DB::table($kind->value)
            ->where($this->codeOrName('number_key'))
            ->orderBy('number')
            ->limit(self::MOST)
            ->select(['id', 'number AS code', 'name']);

        return $this->all($kind->label(), $query, fn (Row $row): array => [
            route("{$kind->value}.show", $row->int('id')),
            "{$row->text('code')} {$row->text('name')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function purchases(): Collection
    {
        $query = DB::table('purchase_lines AS p')
            ->join('items AS i', 'i.id', 'p.item_id')
            ->where('p.number_key', 'like', $this->key)
            ->limit(self::MOST)
            ->select(['p.purchase_order_id', 'p.number AS code'])
            ->selectRaw("COALESCE(NULLIF(p.words, ''), i.name) AS name");

        return $this->all('purchase', $query, fn (Row $row): array => [
            route('purchases.show', $row->int('purchase_order_id')),
            "{$row->text('code')} {$row->text('name')}",
        ]);
    }

    /** @return Collection<int, Found> */
    private function slips(): Collection
    {
        if (preg_match('/^slip-(\d{1,9})$/i', $this->text, $slip) !== 1) {
            return collect();
        }
        $query = DB::table('slips')->where('id', $slip[1])->selectRaw("id, CONCAT('SLIP-', id) AS code, state");

        return $this->all('usage slip', $query, fn (Row $row): array => [
            route('slips.show', $row->int('id')),
            "{$row->text('code')}, {$row->text('state')}",
        ]);
    }

    private function codeOrName(string $key): Closure
    {
        return fn (Builder $any) => $any->where($key, 'like', $this->key)->orWhere('name', 'like', $this->inside);
    }

    /**
     * @param  Closure(Row): array{string, string}  $at  its address and what it is called
     * @return Collection<int, Found>
     */
    private function all(string $what, Builder $query, Closure $at): Collection
    {
        return Row::all($query, fn (Row $row): Found => new Found(
            $what,
            ...$at($row),
            exact: Code::keyOf($row->text('code')) === Code::keyOf($this->text),
        ));
    }
}
