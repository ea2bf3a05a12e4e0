<?php

namespace Tests\Support;

use App\Access\Role;
use App\Actions\Apart\TakeApart;
use App\Actions\Apart\TypedApart;
use App\Actions\Apart\TypedApartPart;
use App\Actions\Billing\AcceptBill;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\TypedBuild;
use App\Actions\Combine\CombineOrders;
use App\Actions\Orders\CureShort;
use App\Actions\Outside\ComesMade;
use App\Actions\Outside\SettleClaim;
use App\Actions\Outside\SettleLeft;
use App\Actions\Outside\TypedMade;
use App\Actions\Purchasing\AnswerOver;
use App\Actions\Purchasing\SendBack;
use App\Actions\Purchasing\TypedReturn;
use App\Actions\Shop\StartStep;
use App\Actions\Stock\AddLateCost;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Actions\Usage\ReturnComponents;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Claim;
use App\Models\CustomerOrder;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Models\WorkCentre;
use Closure;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\PartLeft;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Purchasing\OverAnswer;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\Grade;
use KeepPace\Core\Stock\ScrapClass;

/** A shop in which a deed of each kind that can be reversed is done, one after the other, each on what was before. */
final class EveryKind
{
    /**
     * @param  Closure(Closure(): Booking): Booking  $do  does one
     * @return list<Booking> in the order in which they were done
     */
    public static function in(Shop $shop, Closure $do): array
    {
        $outside = self::toOutside($shop);
        $wanted = $shop->customerOrder(['TRAY-40' => '2'])->lines[0];
        $firm = $shop->order('TRAY-40', '3');
        $shop->goodsIn('BOLT-8', '30', '2');
        $made = $shop->purchase('P-76', 'GATE-40', '10', '2026-12-01');
        $part = $shop->goesAlong($made, 'BOLT-8');
        $comes = fn (): TypedMade => new TypedMade(
            '10',
            '1',
            $shop->place('STORES')->id,
            whose: Whose::Theirs,
        );
        $customerOrder = $do(fn (): Booking => Booking::query()->findOrFail(
            Booking::query()->where('customer_order_id', $shop->customerOrder(['TRAY-40' => '5'])->id)->value('id'),
        ));
        $demand = CustomerOrder::query()->with('lines')->findOrFail($customerOrder->customer_order_id);
        $done = [$customerOrder, $do(fn (): Booking => $shop->cover($demand))];
        $order = Order::query()->latest('id')->firstOrFail();
        $done[] = $do(fn (): Booking => Booking::query()->findOrFail(
            DB::table('booking_says')
                ->where('order_id', $shop->order('LID-9', '2')->id)
                ->value('booking_id'),
        ));
        $in = $do(fn (): Booking => $shop->goodsIn('BRG-25', '6', '7'));
        $bearing = fn (): Balance => Balance::query()
            ->where('item_id', $shop->item('BRG-25')->id)
            ->where('condition', Condition::Free->value)
            ->firstOrFail();
        $line = $shop->purchase('P-77', 'BRG-25', '6', '2026-12-01');
        $on = new Arrival(
            $line->item_id,
            new TypedQuantity('6'),
            '7',
            $shop->place('STORES')->id,
            purchaseId: $line->id,
        );
        $keeper = fn (): Signed => $shop->sign(Role::Storekeeper, 'it is so');
        $first = fn () => $order->steps()->firstOrFail();
        foreach ([
            fn (): Booking => $in,
            fn (): Booking => app(GoodsIn::class)->handle($on, $keeper()),
            fn (): Booking => app(SendBack::class)->handle(
                new TypedReturn($line->id, $bearing()->id, '2', false),
                $keeper(),
            ),
            fn (): Booking => self::more($shop),
            fn (): Booking => self::over($shop),
            fn (): Booking => self::billed($shop, $line),
            fn (): Booking => app(AddLateCost::class)->handle($in->id, 500, $shop->sign(Role::CostClerk)),
            fn (): Booking => app(CountBalance::class)->handle($bearing()->id, '70', $keeper()),
            fn (): Booking => app(ScrapStock::class)->handle($bearing()->id, '1', ScrapClass::Handling, $keeper()),
            fn (): Booking => app(ChangeCondition::class)->handle($bearing()->id, '2', Condition::Blocked, $keeper()),
            fn (): Booking => $shop->release($order, 'so be it'),
            fn (): Booking => $shop->issueAll($order),
            fn (): Booking => self::back($shop, $order),
            fn (): Booking => app(StartStep::class)->handle($first()->id, $shop->sign(Role::Operator)),
            fn (): Booking => $shop->report($first(), '4', '4', '1'),
            fn (): Booking => self::cured($shop, $order->refresh()),
            ...$order->steps()->get()->slice(1)->values()->map(
                fn ($step, int $i): Closure => fn (): Booking => $shop->report($step, '4', $i === 1 ? '0' : '4'),
            )->all(),
            fn (): Booking => $shop->sendOut($outside, '3'),
            fn (): Booking => $shop->partOut($part, '25'),
            fn (): Booking => app(ComesMade::class)->handle($made->id, $comes(), $keeper()),
            fn (): Booking => app(SettleLeft::class)->handle(
                Question::query()->where('kind', QuestionKind::Left)->sole()->id,
                PartLeft::Used,
                $shop->sign(Role::Buyer),
            ),
            fn (): Booking => $shop->back($outside, '2', '1', '1', whose: Whose::Theirs),
            fn (): Booking => app(SettleClaim::class)->handle(
                Claim::query()->whereNotNull('order_step_id')->sole()->id,
                ClaimAnswer::Granted,
                Claim::query()->whereNotNull('order_step_id')->sole()->cents,
                $shop->sign(Role::Buyer),
            ),
            fn (): Booking => $shop->receive($order, '4'),
            fn (): Booking => $shop->ship($demand, [$demand->lines[0]->id => '3']),
            fn (): Booking => $shop->close($order->refresh()),
            fn (): Booking => self::built($shop),
            fn (): Booking => self::apart($shop),
            fn (): Booking => app(CombineOrders::class)->handle(
                [$wanted->id],
                [$firm->id],
                $shop->sign(Role::Planner),
            ),
        ] as $i => $deed) {
            $done[] = $i === 0 ? $in : $do($deed);
        }

        return $done;
    }

    /** Something put together, with what falls out beside it. */
    private static function built(Shop $shop): Booking
    {
        return app(BookBuild::class)->handle(
            new TypedBuild(null, $shop->item('LID-9')->id, '3', '2', $shop->place('STORES')->id),
            $shop->sign(Role::Operator),
        );
    }

    private static function apart(Shop $shop): Booking
    {
        $lid = Balance::query()
            ->where('item_id', $shop->item('LID-9')->id)
            ->where('condition', Condition::Free->value)
            ->where('quantity', '>=', 1)
            ->firstOrFail();

        return app(TakeApart::class)->handle(new TypedApart(
            $lid->id,
            30,
            (int) WorkCentre::query()->value('id'),
            $shop->place('STORES')->id,
            [
                new TypedApartPart('FOOT-1', '2', '70'),
                new TypedApartPart('BOLT-8', '1', '30', Grade::Scrap),
            ],
        ), $shop->sign(Role::Operator));
    }

    /** A step done outside, to which pieces were passed on. */
    private static function toOutside(Shop $shop): OrderStep
    {
        $order = $shop->order('DRUM-9', '3');
        $shop->release($order);
        foreach ($order->steps()->get()->takeWhile(fn (OrderStep $step): bool => ! $step->isOutside()) as $step) {
            $shop->report($step, '3', '3');
        }

        return $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    }

    /** Some of what was issued goes back to stores. */
    private static function back(Shop $shop, Order $order): Booking
    {
        $used = ReturnComponents::used($order->id);

        return app(ReturnComponents::class)->handle(
            $order->id,
            [(string) array_key_first($used) => '1'],
            $shop->place('STORES')->id,
            Condition::Free,
            $shop->sign(Role::Storekeeper),
        );
    }

    /** What is left of a purchase line is billed, dearer than it was agreed. */
    private static function billed(Shop $shop, PurchaseLine $line): Booking
    {
        $bill = $shop->bill($line, '4', '90');

        return app(AcceptBill::class)->handle($bill->id, 1, $shop->theirs(), $shop->sign(Role::Buyer));
    }

    /** More comes than is taken. */
    private static function more(Shop $shop): Booking
    {
        $line = $shop->purchase('P-78', 'BRG-25', '10', '2026-12-01');
        $line->order->supplier->update(['over_percent' => 10]);

        return $shop->comes($line, '14');
    }

    /** What is beyond it is kept and not paid. */
    private static function over(Shop $shop): Booking
    {
        $question = Question::query()->where('kind', QuestionKind::Over)->latest('id')->firstOrFail();

        return app(AnswerOver::class)->handle($question->id, OverAnswer::Unpaid, $shop->sign(Role::Buyer));
    }

    private static function cured(Shop $shop, Order $order): Booking
    {
        $by = $shop->sign(Role::Supervisor, 'four will do');

        return app(CureShort::class)->handle($order->id, $order->version, Cure::Accepted, '1', $by);
    }
}
