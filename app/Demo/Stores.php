<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Bookings\ClosePeriod;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Demand\EnterCustomerOrder;
use App\Actions\Orders\CureShort;
use App\Actions\Orders\SplitOrder;
use App\Actions\Outside\SettleClaim;
use App\Actions\Questions\AnswerQuestion;
use App\Actions\Stock\AddLateCost;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Actions\Usage\CorrectLot;
use App\Actions\Usage\ReturnComponents;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Claim;
use App\Models\Customer;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\Place;
use App\Models\Question;
use App\Models\QuestionKind;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\ClaimState;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\ScrapClass;

/** What goes otherwise than planned with parts in the last weeks of the story, one of each kind. */
final class Stores
{
    private Staff $staff;

    private Tries $tries;

    /** @var array<int, true> */
    private array $done = [];

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->tries = $tries;
    }

    /**
     * Each once, on the first working day that is so near to today.
     *
     * @param  int  $left  days to today
     */
    public function day(int $left): void
    {
        $this->questions($left);
        $this->claims();
        $deeds = [
            16 => $this->refit(...),
            13 => $this->close(...),
            10 => $this->lateFreight(...),
            9 => $this->scrap(...),
            8 => $this->wrongLot(...),
            7 => $this->split(...),
            6 => $this->backToStores(...),
            3 => $this->condition(...),
        ];
        foreach ($deeds as $from => $deed) {
            if ($left <= $from && ! isset($this->done[$from])) {
                $this->done[$from] = true;
                $this->tries->of($deed);
            }
        }
    }

    /** Questions are answered within two days; the newest still wait. */
    private function questions(int $left): void
    {
        foreach (
            Question::query()
                ->whereNull('answered_at')
                ->where('opened_at', '<', CarbonImmutable::now()->subDays($left > 4 ? 1 : 4))
                ->get() as $question
        ) {
            if ($question->claim_id === null) {
                $this->tries->of(fn () => $this->answer($question, $left));
            } elseif ($left > 25) {
                // whose fault it was of the last weeks is not said yet
                $this->settle($question->claim_id, $left > 60 ? ClaimAnswer::Ours : ClaimAnswer::Theirs);
            }
        }
    }

    /** A supplier answers within six weeks, and credits half. */
    private function claims(): void
    {
        $old = Claim::query()
            ->where('state', ClaimState::Open)
            ->where('opened_at', '<', CarbonImmutable::now()->subWeeks(6)->subDays(3));
        foreach ($old->get() as $claim) {
            $this->settle($claim->id, ClaimAnswer::Granted, intdiv($claim->cents, 2));
        }
    }

    private function settle(int $claim, ClaimAnswer $answer, int $cents = 0): void
    {
        $by = $this->staff->signs(Role::Buyer);
        $this->tries->of(fn () => app(SettleClaim::class)->handle($claim, $answer, $cents, $by));
    }

    private function answer(Question $question, int $left): Booking
    {
        $isRemade = $question->kind === QuestionKind::Short
            && $left <= 12
            && $left > 4
            && ! Order::query()->whereNotNull('remake_of_id')->exists();

        return $isRemade
            ? app(CureShort::class)->handle(
                (int) $question->order_id,
                Order::query()->findOrFail($question->order_id)->version,
                Cure::Remake,
                Amount::plain($question->open_quantity),
                $this->staff->signs(Role::Supervisor),
            )
            : app(AnswerQuestion::class)->handle(
                $question->id,
                $question->kind === QuestionKind::Short ? 'Accepted.' : 'Taken from the bin at the bench.',
                $this->staff->signs(Role::Supervisor),
            );
    }

    /** A customer's own drum comes in for a new drive. */
    private function refit(): void
    {
        $customer = Customer::query()->where('number', 'K-09')->firstOrFail();
        $ordered = app(EnterCustomerOrder::class)->handle(
            ['customer_id' => $customer->id, 'reference' => 'our drum of 2019', 'ship_to' => ''],
            [
                [
                    'item' => 'REFIT-9',
                    'quantity' => '1',
                    'unit' => null,
                    'promised_on' => app(WorkedDays::class)->from(CarbonImmutable::now()->addDays(30)),
                    'price' => null,
                ],
            ],
            $this->staff->signs(Role::Sales),
        );
        $line = (int) DB::table('customer_order_lines')
            ->where('customer_order_id', $ordered->customer_order_id)
            ->value('id');
        app(CoverLines::class)->handle(
            [$line],
            CoverBy::NewOrder,
            null,
            false,
            $this->staff->signs(Role::Sales),
        );
        app(GoodsIn::class)->handle(
            new Arrival(
                Item::query()->where('number', 'DRUM-9')->firstOrFail()->id,
                new TypedQuantity('1'),
                '0',
                Place::query()->where('code', 'STORES')->firstOrFail()->id,
                'JH-2019',
                owner: $customer->id,
            ),
            $this->staff->signs(Role::Storekeeper),
        );
    }

    private function close(): void
    {
        app(ClosePeriod::class)->handle(
            CarbonImmutable::now()->subMonthNoOverflow()->endOfMonth()->toDateString(),
            $this->staff->signs(Role::CostClerk),
        );
    }

    private function lateFreight(): void
    {
        $in = Booking::query()->where('kind', 'goods_in')->orderByDesc('id')->skip(3)->first();
        if ($in !== null) {
            $this->tries->of(fn () => app(AddLateCost::class)->handle(
                $in->id,
                4850,
                $this->staff->signs(Role::CostClerk, 'freight, billed late'),
            ));
        }
    }

    private function scrap(): void
    {
        $balance = Balance::query()
            ->whereHas('item', fn ($item) => $item->where('number', 'BRG-25'))
            ->where('quantity', '>', 4)
            ->where('condition', 'free')
            ->orderBy('id')
            ->first();
        if ($balance !== null) {
            $this->tries->of(fn () => app(ScrapStock::class)->handle(
                $balance->id,
                '2',
                ScrapClass::Handling,
                $this->staff->signs(Role::Storekeeper, 'fell off the trolley'),
            ));
        }
    }

    private function wrongLot(): void
    {
        $done = false;
        foreach (
            Move::query()
                ->whereNotNull('component_id')
                ->where('lot_id', '>', 0)
                ->whereNotIn('id', Move::query()->whereNotNull('reverses_id')->select('reverses_id'))
                ->orderByDesc('id')
                ->limit(60)
                ->get() as $move
        ) {
            $other = DB::table('balances AS b')
                ->join('lots AS l', 'l.id', 'b.lot_id')
                ->where('b.item_id', $move->item_id)
                ->where('b.lot_id', '<>', $move->lot_id)
                ->where('b.condition', 'free')
                ->where('b.owner_id', 0)
                ->where('b.quantity', '>=', $move->quantity)
                ->orderBy('l.id')
                ->value('l.code');
            if (! $done && is_string($other)) {
                $this->tries->of(function () use ($move, $other, &$done): void {
                    app(CorrectLot::class)->handle(
                        $move->id,
                        $other,
                        null,
                        $this->staff->signs(Role::Storekeeper, 'read off the label on the part'),
                    );
                    $done = true;
                });
            }
        }
    }

    private function split(): void
    {
        $order = Order::query()
            ->where('state', 'firm')
            ->where('quantity', '>=', 6)
            ->whereNotIn('id', DB::table('ties AS t')
                ->join('order_outputs AS out', 'out.id', 't.output_id')
                ->whereNotNull('t.line_id')
                ->select('out.order_id'))
            ->orderByDesc('due_on')
            ->firstOrFail();
        app(SplitOrder::class)->handle(
            $order->id,
            $order->version,
            '3',
            $this->staff->signs(Role::Planner, 'the first three are wanted sooner'),
        );
    }

    private function condition(): void
    {
        foreach (
            [
                ['BOARD-3', Condition::InInspection, 'one failed at the bench'],
                ['SS-20', Condition::Blocked, 'scratched by the strap'],
                ['GREASE-4', Condition::Blocked, 'cartridge leaks'],
            ] as [$number, $to, $why]
        ) {
            $balance = Balance::query()
                ->whereHas('item', fn ($item) => $item->where('number', $number))
                ->where('quantity', '>', 1)
                ->where('condition', 'free')
                ->orderByDesc('lot_id')
                ->orderBy('id')
                ->first();
            if ($balance !== null) {
                $this->tries->of(fn () => app(ChangeCondition::class)->handle(
                    $balance->id,
                    '1',
                    $to,
                    $this->staff->signs(Role::Storekeeper, $why),
                ));
            }
        }
    }

    /** An extra part was taken along and comes back. */
    private function backToStores(): void
    {
        foreach (Order::query()->where('state', 'running')->orderByDesc('id')->limit(12)->get() as $order) {
            $key = array_key_first(ReturnComponents::used($order->id));
            if ($key !== null) {
                $this->tries->of(fn () => app(ReturnComponents::class)->handle(
                    $order->id,
                    [$key => '1'],
                    Place::query()->where('code', 'STORES')->firstOrFail()->id,
                    Condition::Free,
                    $this->staff->signs(Role::Storekeeper, 'taken along by mistake'),
                ));

                return;
            }
        }
    }
}
