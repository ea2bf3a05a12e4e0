<?php

namespace App\Actions\Demand;

use App\Actions\Orders\LineBuilds;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Customer;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Shop\PriceList;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Refused;

/**
 * Enters a customer order with all its lines.
 *
 * @phpstan-type Typed array{item: string, quantity: string, unit: ?string, promised_on: string, price: ?string}
 */
final class EnterCustomerOrder
{
    public function __construct(private readonly Bookings $bookings, private readonly LineBuilds $builds)
    {
    }

    /**
     * @param  array{customer_id: int, reference: string, ship_to: string}  $head
     * @param  array<int, Typed>  $lines  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $head, array $lines, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::CustomerOrder, $signed, Part::writing(function (Ledger $ledger) use (
            $head,
            $lines,
        ): void {
            $customer = Customer::query()->findOrFail($head['customer_id']);
            if ($customer->retired_at !== null) {
                throw CoverRefused::retired($customer->name);
            }
            $rows = $this->rows($lines, $customer);
            $order = CustomerOrder::query()->create([
                ...$head,
                'number' => Numbers::next('customer_order'),
                'ordered_on' => self::today(),
                'version' => 1,
            ]);
            $order->lines()->createMany($rows);
            $ledger->records->made($order);
            $ledger->concerns(customerOrder: $order);
            $ledger->says(
                "Customer order {$order->number} entered with "
                    .count($rows)
                    .(count($rows) === 1 ? ' line.' : ' lines.'),
            );
            $this->builds($ledger, $order);
        }));
    }

    /** What is built as it is shipped comes into being with its line. */
    private function builds(Ledger $ledger, CustomerOrder $order): void
    {
        $lines = $order->lines()
            ->with('item.unit', 'item.units.unit', 'customerOrder.customer')
            ->whereRelation('item', 'is_built_for_line', true)
            ->orderBy('position')
            ->get()
            ->filter(fn (CustomerOrderLine $line): bool => $line->item->comesByBuild());
        foreach ($lines as $line) {
            $made = $this->builds->make($ledger, $line, $line->openQuantity());
            $ledger->says("Line {$line->position} brings build {$made->order->number}.{$made->taken}");
        }
    }

    /**
     * @param  array<int, Typed>  $lines
     * @return list<array<string, mixed>>  to be written
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    private function rows(array $lines, Customer $customer): array
    {
        $items = self::items(array_map(Code::keyOf(...), array_column($lines, 'item')), $customer->id);
        $prices = PriceList::of(array_map(fn (Item $item): int => $item->id, array_values($items)));
        $rows = [];
        $wrong = $lines === [] ? ['lines.0.item' => 'An order needs a line. Type an item.'] : [];
        foreach ($lines as $row => $line) {
            $item = $items[Code::keyOf($line['item'])] ?? null;
            if ($item === null) {
                $sentence = "No item has the number {$line['item']}. Type part of its name to find it.";
                $wrong["lines.{$row}.item"] = $sentence;

                continue;
            }
            try {
                $rows[] = ['position' => (count($rows) + 1) * 10, ...$this->row($item, $line, $customer, $prices)];
            } catch (Refused $refused) {
                $field = array_key_first($refused->reasons);
                $wrong["lines.{$row}.".(is_string($field) ? $field : 'quantity')] = $refused->getMessage();
            }
            if ($line['promised_on'] < self::today()) {
                $wrong["lines.{$row}.promised_on"] = 'The promise date has passed. Give a date from today on.';
            }
        }

        return $wrong === [] ? $rows : throw new Refused($wrong);
    }

    /**
     * Items by our numbers, and by those the customer uses.
     *
     * @param  list<string>  $keys
     * @return array<string, Item> by key
     */
    private static function items(array $keys, int $customer): array
    {
        $theirs = DB::table('customer_items')
            ->where('customer_id', $customer)
            ->whereIn('number_key', $keys)
            ->pluck('item_id', 'number_key');
        $found = Item::query()
            ->with(['unit', 'units.unit'])
            ->where(fn ($any) => $any->whereIn('number_key', $keys)->orWhereIn('id', $theirs->values()))
            ->get()
            ->keyBy('id');
        $items = [];
        foreach ($theirs as $key => $id) {
            $items[(string) $key] = $found[$id];
        }
        foreach ($found as $item) {
            $items[Code::keyOf($item->number)] = $item;
        }

        return $items;
    }

    /**
     * @param  Typed  $line
     * @return array<string, mixed>
     *
     * @throws Refused
     */
    private function row(Item $item, array $line, Customer $customer, PriceList $prices): array
    {
        if ($item->retired_at !== null) {
            throw Refused::because("{$item->label()} is retired: it is not sold any more.", 'item');
        }
        $quantity = $item->quantity($line['quantity'], $line['unit']);
        $unit = $item->conversion($line['unit'] ?? $item->unit->code)->unit->code;

        return [
            'item_id' => $item->id,
            'quantity' => (string) $quantity->amount,
            'typed_quantity' => $line['quantity'],
            'typed_unit_id' => $item->unitId($unit),
            'price' => $line['price'] ?? $prices->price($item, $customer, $quantity->amount),
            'promised_on' => $line['promised_on'],
            'promised_first_on' => $line['promised_on'],
        ];
    }

    private static function today(): string
    {
        return now(config()->string('pace.zone'))->toDateString();
    }
}
