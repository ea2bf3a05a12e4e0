<?php

namespace App\Actions\Demand;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\Numbers;
use App\Actions\Bookings\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrder;
use App\Models\Item;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** Enters a customer order with all its lines. */
final class EnterCustomerOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array{customer_id: int, reference: string, ship_to: string}  $head
     * @param  array<int, array{
     *     item: string,
     *     quantity: string,
     *     unit: ?string,
     *     promised_on: string,
     *     price: ?string,
     * }>  $lines  by row of the form
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $head, array $lines, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::CustomerOrder, $signed, function (Ledger $ledger) use (
            $head,
            $lines,
        ): void {
            $items = Item::query()
                ->with(['unit', 'units.unit'])
                ->whereIn('number_key', array_map(Code::keyOf(...), array_column($lines, 'item')))
                ->get()
                ->keyBy(fn (Item $item): string => Code::keyOf($item->number));
            $today = now(config()->string('pace.zone'));
            $wrong = [];
            $rows = [];
            foreach ($lines as $row => $line) {
                $item = $items[Code::keyOf($line['item'])] ?? null;
                if ($item === null) {
                    $wrong[
                        "lines.{$row}.item"
                    ] = "No item has the number {$line['item']}. Type part of its name to find it.";

                    continue;
                }
                try {
                    $quantity = $item->quantity($line['quantity'], $line['unit']);
                    $typed = $item->conversion($line['unit'] ?? $item->unit->code)->unit;
                    $rows[] = [
                        'position' => (count($rows) + 1) * 10,
                        'item_id' => $item->id,
                        'quantity' => (string) $quantity->amount,
                        'typed_quantity' => $line['quantity'],
                        'typed_unit_id' => $typed->code === $item->unit->code ? $item->unit_id : $item->units
                            ->firstOrFail(fn ($other) => $other->unit->code === $typed->code)->unit_id,
                        'price' => $line['price'] ?? $item->price,
                        'promised_on' => $line['promised_on'],
                    ];
                } catch (Refused $refused) {
                    $field = array_key_first($refused->reasons);
                    $wrong["lines.{$row}.".(is_string($field) ? $field : 'quantity')] = $refused->getMessage();
                }
                if ($line['promised_on'] < $today->toDateString()) {
                    $wrong["lines.{$row}.promised_on"] = 'The promise date has passed. Give a date from today on.';
                }
            }
            if ($lines === []) {
                $wrong['lines.0.item'] = 'An order needs a line. Type an item.';
            }
            if ($wrong !== []) {
                throw new Refused($wrong);
            }
            $order = CustomerOrder::query()->create([
                ...$head,
                'number' => Numbers::next('customer_order'),
                'ordered_on' => $today->toDateString(),
                'version' => 1,
            ]);
            $order->lines()->createMany($rows);
            $ledger->concerns(customerOrder: $order);
            $ledger->says(
                "Customer order {$order->number} entered with "
                    .count($rows)
                    .(count($rows) === 1 ? ' line.' : ' lines.'),
            );
        });
    }
}
