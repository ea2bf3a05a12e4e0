<?php

namespace Tests\Walk;

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Actions\Billing\EnterBill;
use App\Actions\Billing\RefuseBill;
use App\Actions\Billing\TypedBill;
use App\Actions\Billing\TypedBillLine;
use App\Actions\Cover\TieLine;
use App\Actions\Purchasing\AnswerOver;
use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\CancelPurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\OtherSupplier;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\RewritePurchase;
use App\Actions\Purchasing\SendBack;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedLine;
use App\Actions\Purchasing\TypedReturn;
use App\Actions\Purchasing\TypedSending;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ReserveComing;
use App\Models\Balance;
use App\Models\Bill;
use App\Models\Booking;
use App\Models\CustomerOrderLine;
use App\Models\OrderComponent;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Models\Supplier;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Purchasing\OverAnswer;
use KeepPace\Core\Quantity\TypedQuantity;
use Tests\Support\Shop;

/** What a buyer does on a random walk; each gives its booking, or null where there is nothing to do it to. */
final readonly class Buying
{
    private const ITEMS = ['FOOT-1', 'BOLT-8', 'GATE-40'];

    public function __construct(private Shop $shop)
    {
    }

    /** @return array<string, \Closure(): ?Booking> by name */
    public function deeds(): array
    {
        // more than that is not taken before somebody says so
        Supplier::query()->update(['over_percent' => 20]);

        return [
            'put down to buy' => $this->putDown(...),
            'send a purchase' => $this->send(...),
            'a supplier answers' => $this->answer(...),
            'an answer is settled' => $this->settle(...),
            'a purchase is changed' => $this->change(...),
            'buy of another' => $this->other(...),
            'cancel a purchase' => $this->cancel(...),
            'goods in on a purchase' => $this->goodsIn(...),
            'send back' => $this->back(...),
            'buy for a line' => $this->forLine(...),
            'more than ordered' => $this->over(...),
            'a bill comes' => $this->bill(...),
            'a bill is accepted' => $this->accept(...),
            'a bill goes back' => $this->refuse(...),
            'keep what comes' => $this->forOrder(...),
        ];
    }

    private function putDown(): Booking
    {
        $line = new LineToBuy(
            $this->shop->item(self::ITEMS[mt_rand(0, 2)])->id,
            (string) mt_rand(1, 30),
            supplier: $this->supplier(),
        );

        return app(RaisePurchases::class)
            ->handle([$line], mt_rand(0, 1) === 0, $this->shop->sign(Role::Buyer, 'walk'), mt_rand(0, 2) > 0);
    }

    private function send(): ?Booking
    {
        $order = $this->order(['draft', 'sent', 'confirmed', 'part_in']);

        return $order === null ? null : app(SendPurchase::class)->handle(
            $order->id,
            $order->version,
            new TypedSending(mt_rand(0, 1) === 0 ? null : 'desk@walk.example'),
            $this->shop->sign(Role::Buyer, 'walk'),
        );
    }

    private function answer(): ?Booking
    {
        $order = $this->order(['sent', 'confirmed', 'part_in']);

        return $order === null ? null : app(AnswerPurchase::class)
            ->handle($order->id, $order->version, $this->typed($order), 'W-1', $this->shop->sign(Role::Buyer, 'walk'));
    }

    private function settle(): ?Booking
    {
        $line = PurchaseLine::query()->whereNotNull('answered_quantity')->inRandomOrder(mt_rand())->first();

        return $line === null ? null : app(AnswerPurchase::class)
            ->settle($line->id, mt_rand(0, 1) === 0, $this->shop->sign(Role::Buyer, 'walk'));
    }

    private function change(): ?Booking
    {
        $order = $this->order(['draft', 'sent', 'confirmed', 'part_in']);

        return $order === null ? null : app(RewritePurchase::class)
            ->handle($order->id, $order->version, $this->typed($order), 'walk', $this->shop->sign(Role::Buyer, 'walk'));
    }

    private function other(): ?Booking
    {
        $order = $this->order(['draft', 'sent', 'confirmed', 'part_in']);

        return $order === null ? null : app(OtherSupplier::class)
            ->handle($order->id, $order->version, $this->supplier(), $this->shop->sign(Role::Buyer, 'walk'));
    }

    private function cancel(): ?Booking
    {
        $order = mt_rand(0, 2) > 0 ? null : $this->order(['draft', 'sent', 'confirmed', 'part_in']);

        return $order === null ? null : app(CancelPurchase::class)
            ->handle($order->id, $order->version, $this->shop->sign(Role::Buyer, 'walk'));
    }

    private function goodsIn(): ?Booking
    {
        $line = PurchaseLine::query()
            ->with('item')
            ->where('received_quantity', '<', 100)
            ->inRandomOrder(mt_rand())
            ->first();

        return $line === null || $line->item->isTracked() ? null : app(GoodsIn::class)->handle(
            new Arrival(
                $line->item_id,
                new TypedQuantity((string) mt_rand(1, 12)),
                $line->price,
                $this->shop->place('STORES')->id,
                purchaseId: $line->id,
            ),
            $this->shop->sign(Role::Storekeeper, 'walk'),
        );
    }

    private function over(): ?Booking
    {
        $question = Question::query()->where('kind', QuestionKind::Over)->whereNull('answered_at')->first();

        return $question === null ? null : app(AnswerOver::class)->handle(
            $question->id,
            OverAnswer::cases()[mt_rand(0, 2)],
            $this->shop->sign(Role::Buyer, 'walk'),
        );
    }

    /** Now and then for more than came, dearer, or with freight. */
    private function bill(): ?Booking
    {
        $line = PurchaseLine::query()
            ->with('order')
            ->whereRaw('received_quantity > unpaid_quantity + billed_quantity')
            ->inRandomOrder(mt_rand())
            ->first();
        if ($line === null) {
            return null;
        }
        $price = (string) BigDecimal::of($line->price)->plus(BigDecimal::of(mt_rand(-2, 9))->dividedBy(100, 2));
        $rows = [TypedBillLine::goods('lines', $line->id, (string) mt_rand(1, 12), null, ltrim($price, '-'))];
        if (mt_rand(0, 2) === 0) {
            $rows[] = TypedBillLine::charge('charges', 'freight', mt_rand(1, 900), SpreadBy::cases()[mt_rand(0, 4)]);
        }
        $typed = new TypedBill($line->order->supplier_id, 'W-'.mt_rand(), '2026-11-24', null, null, $rows);

        return app(EnterBill::class)->handle([$typed], $this->shop->sign(Role::CostClerk, 'walk'));
    }

    private function accept(): ?Booking
    {
        $bill = Bill::query()->with('lines')->where('state', 'open')->inRandomOrder(mt_rand())->first();
        $holds = mt_rand(0, 2) === 0 ? Holds::Ours : Holds::Theirs;

        return $bill === null ? null : app(AcceptBill::class)->handle(
            $bill->id,
            $bill->version,
            array_fill_keys($bill->lines->pluck('id')->all(), $holds),
            $this->shop->sign(Role::CostClerk, 'walk'),
        );
    }

    private function refuse(): ?Booking
    {
        $bill = mt_rand(0, 3) > 0 ? null : Bill::query()->where('state', 'open')->inRandomOrder(mt_rand())->first();

        return $bill === null ? null : app(RefuseBill::class)
            ->handle($bill->id, $bill->version, $this->shop->sign(Role::CostClerk, 'walk'));
    }

    private function forLine(): ?Booking
    {
        $purchase = PurchaseLine::query()->inRandomOrder(mt_rand())->first();
        if ($purchase === null) {
            return null;
        }
        $line = CustomerOrderLine::query()->where('item_id', $purchase->item_id)->where('is_open', true)->first()
            ?? $this->shop->customerOrder([$purchase->item->number => '9'], '2027-02-01')->lines[0];

        return app(TieLine::class)->toPurchase(
            $line->id,
            $purchase->id,
            (string) mt_rand(1, 4),
            $this->shop->sign(Role::Planner, 'walk'),
        );
    }

    private function forOrder(): ?Booking
    {
        $purchase = PurchaseLine::query()->inRandomOrder(mt_rand())->first();
        $component = OrderComponent::query()
            ->where('item_id', $purchase?->item_id)
            ->whereRaw('planned_quantity > used_quantity')
            ->inRandomOrder(mt_rand())
            ->first();

        return $purchase === null || $component === null ? null : app(ReserveComing::class)->handle(
            $component->id,
            $purchase->id,
            (string) mt_rand(1, 4),
            $this->shop->sign(Role::Planner, 'walk'),
        );
    }

    private function back(): ?Booking
    {
        $line = PurchaseLine::query()->where('received_quantity', '>', 0)->inRandomOrder(mt_rand())->first();
        $balance = $line === null ? null : Balance::query()
            ->where('item_id', $line->item_id)
            ->where('quantity', '>', 0)
            ->where('owner_id', 0)
            ->first();

        return $line === null || $balance === null ? null : app(SendBack::class)->handle(
            new TypedReturn($line->id, $balance->id, (string) mt_rand(1, 3), mt_rand(0, 1) === 0),
            $this->shop->sign(Role::Storekeeper, 'walk'),
        );
    }

    /** @return array<int, TypedLine> by line */
    private function typed(PurchaseOrder $order): array
    {
        $typed = [];
        foreach ($order->lines()->get() as $line) {
            $typed[$line->id] = new TypedLine(
                (string) mt_rand(0, 40),
                mt_rand(0, 1) === 0 ? $line->price : '1.'.mt_rand(10, 99),
                now()->addDays(mt_rand(0, 20))->toDateString(),
            );
        }

        return $typed;
    }

    /** @param  list<string>  $states */
    private function order(array $states): ?PurchaseOrder
    {
        return PurchaseOrder::query()->whereIn('state', $states)->inRandomOrder(mt_rand())->first();
    }

    private function supplier(): int
    {
        return (int) Supplier::query()->inRandomOrder(mt_rand())->value('id');
    }
}
