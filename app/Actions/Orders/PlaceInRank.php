<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Planner\AskEffect;
use App\Planner\Effect;
use App\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
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
     * @param  bool  $withServants  shelf orders that are allotted to it go before it in the list too
     *
     * @throws Refused
     */
    public function handle(int $id, ?int $before, Signed $signed, bool $withServants = false): Booking
    {
        return $this->bookings->once(BookingKind::Ranked, $signed, new Part(
            fn (): Needs => Needs::orders([$id, ...self::open()]),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $id, $before, $withServants),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $id, ?int $before, bool $withServants): void
    {
        $orders = $held->orders;
        $order = $held->order($id);
        $order->assertMay(OrderDeed::Rank);
        $servants = $withServants ? $this->servants($id, $before) : [];
        [$was, $is, $ranks] = self::places([...$servants, $id], $before);
        if ($was === $is && $servants === []) {
            throw OrderRefused::standsThere($order->number);
        }
        // an order whose rank is another one now has changed: a form that shows the old one is told so
        foreach ($ranks as $other => $rank) {
            $changed = $orders[$other] ?? throw OrderRefused::orderCame();
            $changed->rank = $rank;
            if ($other !== $id) {
                $ledger->change($changed, 'rank', (string) $changed->getOriginal('rank'), (string) $rank);
            }
        }
        $ledger->concerns($order);
        $ledger->change($order, 'place in rank', (string) $was, (string) $is);
        $ledger->says(
            "Order {$order->number} from place {$was} to place {$is}"
                .($servants === []
                    ? '.'
                    : ', before it '
                        .$orders->only($servants)->pluck('number')->join(', ')
                        .'.'),
        );
    }

    /** What it would do, without doing it. */
    public function effect(int $id, ?int $before): Effect
    {
        return $this->ask->of(function () use ($id, $before): void {
            $ranks = self::places([$id], $before)[2];
            ksort($ranks); // in the order all deeds take orders in
            foreach ($ranks as $order => $rank) {
                DB::table('orders')->where('id', $order)->update(['rank' => $rank]);
            }
        });
    }

    /**
     * Orders for the shelf that are allotted to an order and would stand behind the place it gets: for parts and for
     * machines they go with it all the same.
     *
     * @return list<int> what is needed first comes first
     */
    public function servants(int $id, ?int $before): array
    {
        $open = array_keys(self::rows());
        $ahead = $before === null ? $open : array_slice($open, 0, (int) array_search($before, $open, true));
        $shop = ShopState::now([$id]);

        return array_values(array_filter(
            array_diff($shop->parts->servants($id), $ahead),
            fn (int $one): bool => isset($shop->orders[$one]) && ! $shop->parts->isMadeForAnother($one),
        ));
    }

    /** @return list<int> */
    private static function open(): array
    {
        return array_values(DB::table('orders')->whereIn('state', OrderState::OPEN)->pluck('id')->all());
    }

    /** @return array<int, int> rank by order, first the one that goes first */
    private static function rows(): array
    {
        return DB::table('orders')
            ->whereIn('state', OrderState::OPEN)
            ->orderBy('rank')
            ->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id')
            ->pluck('rank', 'id')->map(fn ($rank): int => (int) $rank)->all();
    }

    /**
     * @param  non-empty-list<int>  $block  orders that go together, the one that is placed last
     * @return array{int, int, array<int, int>} the place it had, the one it gets, and the ranks that change by order
     */
    private static function places(array $block, ?int $before): array
    {
        $rows = self::rows();
        $id = $block[count($block) - 1];
        $was = array_search($id, array_keys($rows), true);
        if (
            $was === false
            || ($before !== null && ! isset($rows[$before]))
            || array_diff($block, array_keys($rows)) !== []
        ) {
            throw OrderRefused::listChanged();
        }
        $others = array_values(array_diff(array_keys($rows), $block));
        $at = match (true) {
            $before === null => count($others),
            in_array($before, $block, true) => count(array_diff(array_slice(array_keys($rows), 0, $was), $block)),
            default => (int) array_search($before, $others, true),
        };
        $low = $at === 0 ? null : $rows[$others[$at - 1]];
        $high = isset($others[$at]) ? $rows[$others[$at]] : null;
        $place = $at + count($block);
        $ranks = self::between($block, $low, $high);
        if ($ranks !== null) {
            return [$was + 1, $place, $ranks];
        }
        // no room between the two: all are numbered anew, in the order they stand
        array_splice($others, $at, 0, $block);
        $anew = [];
        foreach ($others as $n => $other) {
            $anew[$other] = ($n + 1) * self::GAP;
        }

        return [
            $was + 1,
            $place,
            array_filter($anew, fn (int $rank, int $order): bool => $rank !== $rows[$order], ARRAY_FILTER_USE_BOTH),
        ];
    }

    /**
     * @param  non-empty-list<int>  $block
     * @return array<int, int>|null ranks between two others, by order; null = there is no room
     */
    private static function between(array $block, ?int $low, ?int $high): ?array
    {
        $gaps = count($block) + 1;
        $step = match (true) {
            $high !== null => intdiv($high - ($low ?? 0), $gaps),
            default => self::GAP,
        };
        $first = $high === null && $low === null ? 500 - self::GAP : $low ?? 0;
        $ranks = [];
        foreach ($block as $n => $order) {
            $ranks[$order] = $first + $step * ($n + 1);
        }

        return $step < 1 ? null : $ranks;
    }
}
