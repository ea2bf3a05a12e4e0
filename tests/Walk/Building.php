<?php

namespace Tests\Walk;

use App\Access\Role;
use App\Actions\Apart\TakeApart;
use App\Actions\Apart\TypedApart;
use App\Actions\Apart\TypedApartPart;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\BuildAndShip;
use App\Actions\Builds\GiveUpBuild;
use App\Actions\Builds\TypedBuild;
use App\Actions\Combine\CombineOrders;
use App\Actions\Combine\SetUpTogether;
use App\Actions\Combine\TakeOutOfCombined;
use App\Actions\Cover\TieLine;
use App\Actions\Orders\ChangeComponents;
use App\Actions\Orders\ReceiveAndIssue;
use App\Actions\Orders\TypedOutput;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Stock\ReserveOutput;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderOutput;
use App\Models\OrderStep;
use App\Models\Tie;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Grade;
use Tests\Support\Shop;

/**
 * What is put together, taken apart, combined and handed on during a random walk; each gives its booking, or null where
 * there is nothing to do it to.
 */
final readonly class Building
{
    public function __construct(private Shop $shop)
    {
    }

    /** @return array<string, \Closure(): ?Booking> by name */
    public function deeds(): array
    {
        // a kit without steps: beside it fall out chips, and a side part that shares its cost
        $this->shop->import([
            'items.csv' => "number,name,kind,unit,cost,costing\nKIT-W,Kit,assembled,pc,4,average\n"
                ."CHIP-W,Chips,bought,kg,0.9,average\nSIDE-W,Side part,made,pc,1.5,average\n"
                ."CARE-W,Set that goes as it is built,assembled,pc,2,average\n",
            'structures.csv' => "item,position,component,quantity,comes_back,share_rule\nKIT-W,10,FOOT-1,2,,\n"
                ."KIT-W,20,BOLT-8,1,,\nKIT-W,30,CHIP-W,-0.3,by_product,\nKIT-W,40,SIDE-W,-0.5,co_product,value\n"
                ."CARE-W,10,FOOT-1,1,,\n",
        ]);

        return [
            'build' => $this->build(...),
            'build on' => $this->on(...),
            'build and ship' => $this->ship(...),
            'give up a build' => $this->giveUp(...),
            'a kit is wanted' => $this->wanted(...),
            'a set is wanted' => $this->setWanted(...),
            'combine' => $this->combine(...),
            'take a share out' => $this->takeOut(...),
            'set up once' => $this->setUp(...),
            'set up alone' => $this->setUpAlone(...),
            'plan a part by hand' => $this->byHand(...),
            'take apart' => $this->apart(...),
            'receive and issue' => $this->straight(...),
            'book back' => $this->back(...),
            'promise what falls out' => $this->promise(...),
            'keep of an order' => $this->keep(...),
        ];
    }

    private function build(): Booking
    {
        $asked = mt_rand(1, 5);

        return app(BookBuild::class)->handle(
            $this->typed(null, (string) $asked, (string) mt_rand(0, $asked)),
            $this->shop->sign(Role::Operator),
        );
    }

    private function on(): ?Booking
    {
        $order = $this->open();

        return $order === null ? null : app(BookBuild::class)->handle(
            $this->typed($order, $order->quantity, (string) mt_rand(1, 3)),
            $this->shop->sign(mt_rand(0, 3) === 0 ? Role::Supervisor : Role::Operator),
        );
    }

    private function ship(): ?Booking
    {
        $order = $this->open();

        return $order === null ? null : app(BuildAndShip::class)->handle(
            $order->id,
            $this->typed($order, $order->quantity, (string) mt_rand(1, 2)),
            $this->shop->sign(Role::Storekeeper),
        );
    }

    private function giveUp(): ?Booking
    {
        $order = mt_rand(0, 2) === 0 ? $this->open() : null;

        return $order === null
            ? null
            : app(GiveUpBuild::class)->handle($order->id, $order->version, $this->shop->sign(Role::Planner, 'walk'));
    }

    private function wanted(): Booking
    {
        return $this->shop->cover($this->shop->customerOrder(['KIT-W' => (string) mt_rand(1, 4)]));
    }

    /** It brings its build; who ships the line builds it. */
    private function setWanted(): Booking
    {
        Item::query()->where('number', 'CARE-W')->update(['is_built_for_line' => true]);
        $order = $this->shop->customerOrder(['CARE-W' => (string) mt_rand(1, 4)]);

        return mt_rand(0, 1) === 0
            ? Booking::query()->where('customer_order_id', $order->id)->firstOrFail()
            : $this->shop->ship($order, [$order->lines->firstOrFail()->id => '1']);
    }

    private function combine(): ?Booking
    {
        $orders = Order::query()->where('state', 'firm')->inRandomOrder(mt_rand())->limit(8)->get();
        $lines = CustomerOrderLine::query()->where('is_open', true)->inRandomOrder(mt_rand())->limit(8)->get();
        $item = $orders->first()->item_id ?? $lines->first()?->item_id;

        return $item === null ? null : app(CombineOrders::class)->handle(
            array_values($lines->where('item_id', $item)->take(2)->pluck('id')->all()),
            array_values($orders->where('item_id', $item)->take(2)->pluck('id')->all()),
            $this->shop->sign(Role::Planner),
        );
    }

    private function setUp(): Booking
    {
        $steps = OrderStep::query()
            ->whereRelation('order', 'state', 'firm')
            ->whereNotNull('work_centre_id')
            ->inRandomOrder(mt_rand())
            ->limit(20)
            ->get()
            ->groupBy('work_centre_id')
            ->sortByDesc(fn ($of) => $of->count())
            ->first();

        return app(SetUpTogether::class)->handle(
            array_values($steps?->unique('order_id')->take(mt_rand(2, 3))->pluck('id')->all() ?? []),
            $this->shop->sign(Role::Planner),
        );
    }

    private function setUpAlone(): ?Booking
    {
        $step = DB::table('shared_run_steps')->inRandomOrder(mt_rand())->value('order_step_id');

        return $step === null
            ? null
            : app(SetUpTogether::class)->takeOut($step, $this->shop->sign(Role::Planner));
    }

    private function byHand(): ?Booking
    {
        $part = OrderComponent::query()
            ->with('order')
            ->whereRelation('order', fn ($order) => $order->whereIn('state', ['firm', 'released', 'running']))
            ->inRandomOrder(mt_rand())
            ->first();

        return $part === null ? null : app(ChangeComponents::class)->change(
            $part->id,
            $part->order->version,
            (string) mt_rand(0, 12),
            $this->shop->sign(Role::Planner),
        );
    }

    private function takeOut(): ?Booking
    {
        $tie = Tie::query()
            ->whereNotNull('line_id')
            ->whereNotNull('output_id')
            ->where('quantity', '>', 0)
            ->inRandomOrder(mt_rand())
            ->first();

        return $tie === null
            ? null
            : app(TakeOutOfCombined::class)->handle($tie->id, $this->shop->sign(Role::Planner));
    }

    private function apart(): ?Booking
    {
        $unit = Balance::query()
            ->where('item_id', $this->shop->item('KIT-W')->id)
            ->where('quantity', '>=', 1)
            ->inRandomOrder(mt_rand())
            ->first();
        $grades = Grade::cases();

        return $unit === null ? null : app(TakeApart::class)->handle(new TypedApart(
            $unit->id,
            0,
            null,
            $this->shop->place('STORES')->id,
            [
                new TypedApartPart('BOLT-8', '1', '55', $grades[mt_rand(0, 2)]),
                new TypedApartPart('GATE-40', '1', '45', $grades[mt_rand(0, 2)]),
            ],
        ), $this->shop->sign(Role::Operator));
    }

    private function straight(): ?Booking
    {
        $order = Order::query()->whereIn('state', ['released', 'running'])->inRandomOrder(mt_rand())->first();

        return $order === null ? null : app(ReceiveAndIssue::class)->handle(
            $order->id,
            new TypedReceipt((string) mt_rand(1, 3), $this->shop->place('STORES')->id),
            $this->shop->sign(Role::Storekeeper),
        );
    }

    private function back(): ?Booking
    {
        $output = OrderOutput::query()->where('position', '>', 1)->inRandomOrder(mt_rand())->first();

        return $output === null ? null : $this->shop->receive(
            Order::query()->findOrFail($output->order_id),
            '0',
            beside: [$output->id => new TypedOutput((string) mt_rand(1, 2))],
        );
    }

    private function promise(): ?Booking
    {
        $output = OrderOutput::query()
            ->where('position', '>', 1)
            ->where('is_open', true)
            ->inRandomOrder(mt_rand())
            ->first();
        if ($output === null) {
            return null;
        }
        $line = $this->shop->customerOrder([Item::query()->findOrFail($output->item_id)->number => '1'])->lines[0];

        return app(TieLine::class)->toOrder($line->id, $output->order_id, '1', $this->shop->sign(Role::Sales));
    }

    private function keep(): ?Booking
    {
        $component = OrderComponent::query()->where('open_quantity', '>', 0)->inRandomOrder(mt_rand())->first();
        $giver = $component === null
            ? null
            : OrderOutput::query()->where('item_id', $component->item_id)->where('is_open', true)->first();

        return $giver === null || $component === null ? null : app(ReserveOutput::class)->handle(
            $component->id,
            $giver->order_id,
            '1',
            $this->shop->sign(Role::Planner),
        );
    }

    private function open(): ?Order
    {
        return Order::query()
            ->where('item_id', $this->shop->item('KIT-W')->id)
            ->whereIn('state', ['firm', 'released', 'running'])
            ->inRandomOrder(mt_rand())
            ->first();
    }

    private function typed(?Order $order, string $asked, string $built): TypedBuild
    {
        return new TypedBuild(
            $order?->id,
            $this->shop->item('KIT-W')->id,
            $asked,
            $built,
            $this->shop->place('STORES')->id,
            wasUsed: mt_rand(0, 2) === 0,
        );
    }
}
