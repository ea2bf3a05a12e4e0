<?php

namespace App\Actions\Orders;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Heads;
use App\Actions\Bookings\Ledger;
use App\Actions\Schedule\AskEffect;
use App\Actions\Schedule\Effect;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Gives an order its place in the one rank that decides who gets scarce stock and who gets the machine. */
final class PlaceInRank
{
    private const GAP = 10;

    public function __construct(private readonly Bookings $bookings, private readonly AskEffect $ask)
    {
    }

    /**
     * @param  int|null  $before  the order it goes before; null = last of all
     *
     * @throws Refused
     */
    public function handle(int $id, ?int $before, string $token, User $by): Booking
    {
        return $this->bookings->once(BookingKind::Ranked, $token, $by, function (Ledger $ledger) use ($id, $before): void {
            $open = self::open();
            $orders = Heads::orders([$id, ...$open]);
            $order = $orders[$id] ?? throw Heads::gone(Order::class, $id);
            if (! $order->state->isOpen()) {
                throw Refused::because("Order {$order->number} is {$order->state->value} and has no rank any more.");
            }
            [$was, $is, $ranks] = self::places($id, $before);
            if ($was === $is) {
                throw Refused::because("Order {$order->number} stands there already.");
            }
            // an order whose rank is another one now has changed: a form that shows the old one is told so
            foreach ($ranks as $other => $rank) {
                $changed = $orders[$other] ?? throw Refused::because('An order came meanwhile. Look at the list anew.');
                $changed->rank = $rank;
                if ($other !== $id) {
                    $ledger->change($changed, 'rank', (string) $changed->getOriginal('rank'), (string) $rank);
                }
            }
            $ledger->about($order);
            $ledger->change($order, 'place in rank', (string) $was, (string) $is);
            $ledger->says("Order {$order->number} from place {$was} to place {$is}.");
        });
    }

    /** What it would do, without doing it. */
    public function effect(int $id, ?int $before): Effect
    {
        return $this->ask->of(function () use ($id, $before): void {
            $ranks = self::places($id, $before)[2];
            ksort($ranks); // in the order all deeds take orders in
            foreach ($ranks as $order => $rank) {
                DB::table('orders')->where('id', $order)->update(['rank' => $rank]);
            }
        });
    }

    /** @return list<int> */
    private static function open(): array
    {
        return array_values(DB::table('orders')->whereIn('state', ['firm', 'released', 'running'])->pluck('id')->all());
    }

    /**
     * @return array{int, int, array<int, int>} the place it had, the one it gets, and the ranks that change by order
     */
    private static function places(int $id, ?int $before): array
    {
        $rows = DB::table('orders')
            ->whereIn('state', ['firm', 'released', 'running'])
            ->orderBy('rank')
            ->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id')
            ->pluck('rank', 'id')->map(fn ($rank): int => (int) $rank)->all();
        $was = array_search($id, array_keys($rows), true);
        if ($was === false || ($before !== null && ! isset($rows[$before]))) {
            throw Refused::because('One of the orders is no longer open. Look at the list anew.');
        }
        $others = array_values(array_diff(array_keys($rows), [$id]));
        $at = match ($before) {
            null => count($others),
            $id => $was,
            default => (int) array_search($before, $others, true),
        };
        $low = $at === 0 ? null : $rows[$others[$at - 1]];
        $high = isset($others[$at]) ? $rows[$others[$at]] : null;
        $rank = match (true) {
            $low === null && $high === null => 500,
            $low === null => intdiv((int) $high, 2),
            $high === null => $low + self::GAP,
            default => intdiv($low + $high, 2),
        };
        if (($low === null || $rank > $low) && ($high === null || $rank < $high)) {
            return [$was + 1, $at + 1, [$id => $rank]];
        }
        // no room between the two: all are numbered anew, in the order they stand
        array_splice($others, $at, 0, [$id]);
        $anew = [];
        foreach ($others as $place => $other) {
            $anew[$other] = ($place + 1) * self::GAP;
        }

        return [
            $was + 1,
            $at + 1,
            array_filter($anew, fn (int $rank, int $order): bool => $rank !== $rows[$order], ARRAY_FILTER_USE_BOTH),
        ];
    }
}
