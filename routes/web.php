<?php

use App\Http\Controllers as C;
use App\Models\Attachable;
use App\Models\PartnerKind;
use Illuminate\Support\Facades\Route;

// every id is one
Route::patterns(
    array_fill_keys(
        [
            'attachment',
            'balance',
            'booking',
            'calendar',
            'centre',
            'component',
            'consignment',
            'claim',
            'cover',
            'coming',
            'customerOrder',
            'id',
            'import',
            'item',
            'line',
            'lot',
            'mail',
            'move',
            'order',
            'partner',
            'person',
            'plan',
            'promise',
            'purchaseOrder',
            'bill',
            'question',
            'reservation',
            'search',
            'routing',
            'slip',
            'station',
            'step',
            'structure',
        ],
        '[0-9]{1,18}',
    ),
);

Route::middleware('guest')->group(function (): void {
    Route::get('/login', [C\LoginController::class, 'show'])->name('login');
    Route::post('/login', [C\LoginController::class, 'store'])->name('login.store');
});

// calendar programs cannot log in: the signature in the address is the key
Route::get('/feeds/work-centres/{centre}.ics', [C\DispatchController::class, 'feed'])
    ->middleware('signed')
    ->name('dispatch.feed');

Route::middleware(['auth', 'still-in', 'may:look'])->group(function (): void {
    Route::get('/password', [C\PasswordController::class, 'show'])->name('password.show');
    Route::put('/password', [C\PasswordController::class, 'update'])->name('password.update');
    Route::post('/logout', [C\LoginController::class, 'destroy'])->name('logout');

    Route::get('/', [C\TodayController::class, 'index'])->name('today');
    Route::get('/find', [C\FindController::class, 'index'])->name('find');
    Route::get('/items', [C\ItemController::class, 'index'])->name('items.index');
    Route::get('/items/choose', [C\ItemChoiceController::class, 'index'])->name('items.choose');
    Route::get('/items/new', [C\ItemController::class, 'create'])
        ->middleware('may:change-items')
        ->name('items.create');
    Route::post('/items', [C\ItemController::class, 'store'])->middleware('may:change-items')->name('items.store');
    Route::get('/items/{item}', [C\ItemController::class, 'show'])->name('items.show');
    Route::get('/items/{item}/change', [C\ItemController::class, 'edit'])
        ->middleware('may:change-items')
        ->name('items.edit');
    Route::put('/items/{item}', [C\ItemController::class, 'update'])
        ->middleware('may:change-items')
        ->name('items.update');
    Route::post('/items/{item}/retired', [C\RetiredItemController::class, 'store'])
        ->middleware('may:change-items')
        ->name('retired-items.store');
    Route::delete('/items/{item}/retired', [C\RetiredItemController::class, 'destroy'])
        ->middleware('may:change-items')
        ->name('retired-items.destroy');
    Route::post('/items/{item}/replaced', [C\ReplacedItemController::class, 'store'])
        ->middleware('may:draw-up')
        ->name('replaced-items.store');
    Route::get('/work-centres', [C\WorkCentreController::class, 'index'])->name('centres.index');
    Route::get('/work-centres/{centre}', [C\WorkCentreController::class, 'show'])->name('centres.show');
    Route::post('/work-centres', [C\WorkCentreController::class, 'store'])
        ->middleware('may:draw-up')
        ->name('centres.store');
    Route::put('/work-centres/{centre}', [C\WorkCentreController::class, 'update'])
        ->middleware('may:draw-up')
        ->name('centres.update');
    Route::get('/drafts', [C\DraftController::class, 'index'])->name('drafts.index');
    Route::get('/structures/{structure}/costs.pdf', [C\StructureController::class, 'paper'])->name('structures.paper');
    foreach (['structure' => C\StructureController::class, 'routing' => C\RoutingController::class] as $what => $of) {
        Route::get("/{$what}s/{{$what}}", [$of, 'show'])->name("{$what}s.show");
        Route::middleware('may:draw-up')->group(function () use ($what, $of): void {
            Route::post("/items/{item}/{$what}s", [$of, 'store'])->name("{$what}s.store");
            Route::put("/{$what}s/{{$what}}", [$of, 'update'])->name("{$what}s.update");
            Route::delete("/{$what}s/{{$what}}", [$of, 'destroy'])->name("{$what}s.destroy");
        });
        Route::post("/{$what}s/{{$what}}/approval", [C\ApprovalController::class, $what])
            ->middleware('may:approve')
            ->name("{$what}s.approval");
    }

    Route::get('/customer-orders', [C\CustomerOrderController::class, 'index'])->name('customer-orders.index');
    Route::get('/customer-orders/new', [C\CustomerOrderController::class, 'create'])
        ->middleware('may:enter-customer-order')
        ->name('customer-orders.create');
    Route::post('/customer-orders', [C\CustomerOrderController::class, 'store'])
        ->middleware('may:enter-customer-order')
        ->name('customer-orders.store');
    Route::get('/customer-lines/{line}/cost', [C\LineCostController::class, 'show'])
        ->middleware('may:see-money')
        ->name('customer-lines.cost');
    Route::get('/customer-lines/{line}/chain', [C\LineChainController::class, 'show'])->name('customer-lines.chain');
    Route::get('/customer-orders/{customerOrder}', [C\CustomerOrderController::class, 'show'])->name(
        'customer-orders.show',
    );
    Route::put('/customer-order-lines/{line}', [C\CustomerOrderController::class, 'update'])
        ->middleware('may:enter-customer-order')
        ->name('customer-order-lines.update');
    Route::delete('/customer-order-lines/{line}', [C\CustomerOrderController::class, 'cancelLine'])
        ->middleware('may:enter-customer-order')
        ->name('customer-order-lines.destroy');
    Route::post('/covers', [C\CoverController::class, 'store'])
        ->middleware('may:cover')
        ->name('covers.store');
    Route::put('/customer-order-lines/{line}/cover', [C\CoverController::class, 'update'])
        ->middleware('may:cover')
        ->name('covers.update');
    Route::delete('/covers/{cover}', [C\CoverController::class, 'destroy'])
        ->middleware('may:cover')
        ->name('covers.destroy');

    Route::get('/orders', [C\OrderController::class, 'index'])->name('orders.index');
    Route::post('/orders', [C\OrderController::class, 'store'])->middleware('may:change-order')->name('orders.store');
    Route::get('/orders/{order}', [C\OrderController::class, 'show'])->name('orders.show');
    Route::put('/orders/{order}', [C\OrderController::class, 'update'])
        ->middleware('may:change-order')
        ->name('orders.update');
    Route::delete('/orders/{order}', [C\OrderController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('orders.destroy');
    Route::post('/orders/{order}/split', [C\OrderController::class, 'split'])
        ->middleware('may:change-order')
        ->name('orders.split');
    Route::post('/orders/{order}/copy', [C\OrderCopyController::class, 'store'])
        ->middleware('may:change-order')
        ->name('orders.copy');
    Route::post('/orders/{order}/short', [C\OrderController::class, 'short'])
        ->middleware('may:change-order')
        ->name('orders.short');
    Route::post('/orders/{order}/components', [C\OrderComponentController::class, 'store'])
        ->middleware('may:change-order')
        ->name('order-components.store');
    Route::post('/order-components/{component}/order', [C\OrderComponentController::class, 'make'])
        ->middleware('may:change-order')
        ->name('order-components.make');
    Route::put('/order-components/{component}', [C\OrderComponentController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-components.update');
    Route::put('/order-outputs/{output}', [C\OrderOutputController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-outputs.update');
    Route::post('/orders/{order}/steps', [C\OrderStepController::class, 'store'])
        ->middleware('may:change-order')
        ->name('order-steps.store');
    Route::delete('/order-steps/{step}', [C\OrderStepController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('order-steps.destroy');
    Route::put('/order-steps/{step}', [C\OrderStepController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-steps.update');

    Route::get('/release', [C\ReleaseController::class, 'index'])->name('release.index');
    Route::post('/release', [C\ReleaseController::class, 'store'])->middleware('may:release')->name('release.store');
    Route::get('/board', [C\BoardController::class, 'index'])->name('board');
    Route::get('/board/data', [C\BoardController::class, 'data'])->name('board.data');
    Route::get('/day', [C\DayController::class, 'show'])->name('day');
    Route::get('/board/news', [C\BoardController::class, 'news'])->name('board.news');
    Route::get('/board/preview', [C\BoardController::class, 'preview'])->name('board.preview');
    Route::get('/board/plan.pdf', [C\BoardController::class, 'paper'])->name('board.paper');
    Route::get('/board/threads/{order}', [C\BoardController::class, 'threads'])->name('board.threads');
    Route::post('/board/steps/{step}', [C\BoardController::class, 'move'])
        ->middleware('may:plan')
        ->name('board.move');
    Route::delete('/board/steps/{step}/pin', [C\BoardController::class, 'unpin'])
        ->middleware('may:plan')
        ->name('board.unpin');
    Route::post('/board/undo', [C\BoardController::class, 'undo'])
        ->middleware('may:plan')
        ->name('board.undo');
    Route::post('/board/redo', [C\BoardController::class, 'redo'])
        ->middleware('may:plan')
        ->name('board.redo');
    Route::post('/board/by-rank', [C\BoardController::class, 'byRank'])
        ->middleware('may:plan')
        ->name('board.by-rank');
    Route::get('/late', [C\LateController::class, 'index'])->name('late.index');
    Route::get('/late/{order}', [C\LateController::class, 'show'])->name('late.show');
    Route::get('/late/{order}/levers', [C\LateController::class, 'levers'])->name('late.levers');
    Route::post('/late/{order}', [C\LateController::class, 'store'])->middleware('may:plan')->name('late.try');
    Route::get('/plans', [C\PlanController::class, 'index'])->name('plans.index');
    Route::post('/plans', [C\PlanController::class, 'store'])
        ->middleware('may:plan')
        ->name('plans.store');
    Route::post('/plans/search', [C\PlanController::class, 'search'])
        ->middleware('may:plan')
        ->name('plans.search');
    Route::post('/searches/{search}/stop', [C\PlanController::class, 'stop'])
        ->middleware('may:plan')
        ->name('plans.stop');
    Route::get('/searches/{search}', [C\PlanController::class, 'watch'])->name('plans.watch');
    Route::get('/plans/{plan}', [C\PlanController::class, 'show'])->name('plans.show');
    Route::post('/plans/{plan}/again', [C\PlanController::class, 'again'])->middleware('may:plan')->name('plans.again');
    Route::post('/plans/{plan}/live', [C\PlanController::class, 'live'])->middleware('may:plan')->name('plans.live');
    Route::delete('/plans/{plan}', [C\PlanController::class, 'destroy'])->middleware('may:plan')->name('plans.destroy');
    Route::get('/absence', [C\AbsenceController::class, 'index'])->name('absence.index');
    Route::post('/absence/machine', [C\AbsenceController::class, 'machine'])
        ->middleware('may:say-absent')
        ->name('absence.machine');
    Route::post('/absence/person', [C\AbsenceController::class, 'person'])
        ->middleware('may:say-absent')
        ->name('absence.person');
    Route::post('/absence/{what}/{id}/back', [C\AbsenceController::class, 'back'])
        ->whereIn('what', ['machine', 'person'])
        ->middleware('may:say-absent')
        ->name('absence.back');
    Route::get('/dispatch', [C\DispatchController::class, 'index'])->name('dispatch.index');
    Route::get('/dispatch/{centre}', [C\DispatchController::class, 'show'])->name('dispatch.show');
    Route::get('/dispatch/{centre}/list.pdf', [C\DispatchController::class, 'pdf'])->name('dispatch.pdf');
    Route::get('/dispatch/{centre}/list.csv', [C\DispatchController::class, 'csv'])->name('dispatch.csv');
    Route::get('/promise', [C\PromiseController::class, 'index'])->name('promise.index');
    Route::post('/promise', [C\PromiseController::class, 'ask'])
        ->middleware('may:promise')
        ->name('promise.ask');
    Route::post('/promise/held', [C\PromiseController::class, 'store'])
        ->middleware('may:promise')
        ->name('promise.store');
    Route::delete('/promise/held/{promise}', [C\PromiseController::class, 'destroy'])
        ->middleware('may:promise')
        ->name('promise.destroy');
    Route::get('/calendars', [C\CalendarController::class, 'index'])->name('calendars.index');
    Route::post('/calendars', [C\CalendarController::class, 'store'])->middleware('may:plan')->name('calendars.store');
    Route::get('/calendars/{calendar}', [C\CalendarController::class, 'show'])->name('calendars.show');
    Route::put('/calendars/{calendar}', [C\CalendarController::class, 'update'])
        ->middleware('may:plan')
        ->name('calendars.update');
    Route::get('/calendars/{calendar}/calendar.ics', [C\CalendarController::class, 'file'])->name('calendars.file');
    Route::get('/issue', [C\SlipController::class, 'index'])->name('issue.index');
    Route::post('/slips', [C\SlipController::class, 'store'])->middleware('may:issue')->name('slips.store');
    Route::get('/slips/{slip}', [C\SlipController::class, 'show'])->name('slips.show');
    Route::put('/slips/{slip}', [C\SlipController::class, 'update'])
        ->middleware('may:issue')
        ->name('slips.update');
    Route::delete('/slips/{slip}', [C\SlipController::class, 'destroy'])
        ->middleware('may:issue')
        ->name('slips.destroy');
    Route::post('/slips/{slip}/lines', [C\SlipController::class, 'add'])
        ->middleware('may:issue')
        ->name('slips.add');
    Route::get('/slips/{slip}/lines/{line}', [C\SlipController::class, 'line'])->name('slips.line');
    Route::get('/slips/{slip}/pick', [C\SlipController::class, 'pickList'])->name('slips.pick');
    Route::post('/slips/{slip}/pick', [C\SlipController::class, 'pick'])->middleware('may:issue')->name('slips.picked');
    Route::get('/slips/{slip}/pick.pdf', [C\SlipController::class, 'paper'])->name('slips.paper');
    Route::get('/station', [C\StationController::class, 'index'])->name('station.index');
    Route::get('/station/{station}', [C\StationController::class, 'show'])->name('station.show');
    Route::post('/order-steps/{step}/start', [C\StationController::class, 'start'])
        ->middleware('may:report')
        ->name('station.start');
    Route::post('/order-steps/{step}/report', [C\StationController::class, 'report'])
        ->middleware('may:report')
        ->name('station.report');
    Route::get('/send-out', [C\ConsignmentController::class, 'index'])->name('send-outs.index');
    Route::post('/send-out', [C\ConsignmentController::class, 'store'])
        ->middleware('may:outside')
        ->name('send-outs.store');
    Route::get('/send-out/{supplier}/to-go.pdf', [C\ConsignmentController::class, 'going'])->name('send-outs.paper');
    Route::get('/consignments/{consignment}', [C\ConsignmentController::class, 'show'])->name('consignments.show');
    Route::get('/consignments/{consignment}/paper.pdf', [C\ConsignmentController::class, 'paper'])
        ->name('consignments.paper');
    Route::get('/consignments/{consignment}/labels.pdf', [C\ConsignmentController::class, 'labels'])
        ->name('consignments.labels');
    Route::post('/order-steps/work', [C\WorkController::class, 'store'])
        ->middleware('may:purchase')
        ->name('work.store');
    Route::post('/order-components/{component}/unused', [C\UnusedController::class, 'store'])
        ->middleware('may:outside')
        ->name('unused.store');
    Route::put('/order-steps/{step}/supplier', [C\StepSupplierController::class, 'update'])
        ->middleware('may:purchase')
        ->name('step-suppliers.update');
    Route::put('/order-steps/{step}/place', [C\StepPlaceController::class, 'update'])
        ->middleware('may:change-order')
        ->name('step-places.update');
    Route::get('/purchase-lines/{line}/made', [C\MadeController::class, 'edit'])->name('made.edit');
    Route::post('/purchase-lines/{line}/made', [C\MadeController::class, 'store'])
        ->middleware('may:outside')
        ->name('made.store');
    Route::post('/purchases/{purchaseOrder}/parts', [C\PurchasePartsController::class, 'store'])
        ->middleware('may:purchase')
        ->name('purchase-orders.parts');
    Route::put('/questions/{question}/left', [C\LeftController::class, 'update'])
        ->middleware('may:purchase')
        ->name('questions.left');
    Route::get('/claims', [C\ClaimController::class, 'index'])->name('claims.index');
    Route::put('/claims/{claim}', [C\ClaimController::class, 'update'])
        ->middleware('may:purchase')
        ->name('claims.update');
    Route::get('/at-suppliers', [C\OutsideController::class, 'index'])->name('at-suppliers.index');
    Route::get('/order-steps/{step}/back', [C\OutsideController::class, 'edit'])->name('outside.edit');
    Route::post('/order-steps/{step}/back', [C\OutsideController::class, 'store'])
        ->middleware('may:outside')
        ->name('outside.store');
    Route::get('/builds', [C\BuildController::class, 'index'])->name('builds.index');
    Route::get('/builds/new', [C\BuildController::class, 'create'])->name('builds.create');
    Route::post('/builds', [C\BuildController::class, 'store'])->middleware('may:build')->name('builds.store');
    Route::get('/builds/{order}', [C\BuildController::class, 'show'])->name('builds.show');
    Route::put('/builds/{order}', [C\BuildController::class, 'update'])->middleware('may:build')->name('builds.update');
    Route::put('/builds/{order}/shipped', [C\BuildController::class, 'ship'])
        ->middleware(['may:build', 'may:ship'])
        ->name('builds.ship');
    Route::delete('/builds/{order}', [C\BuildController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('builds.destroy');
    Route::get('/builds/{order}/paper.pdf', [C\BuildController::class, 'paper'])->name('builds.paper');
    Route::get('/combine', [C\CombineController::class, 'index'])->name('combine.index');
    Route::post('/combine', [C\CombineController::class, 'store'])
        ->middleware('may:change-order')
        ->name('combine.store');
    Route::delete('/covers/{cover}/share', [C\CombineController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('combine.destroy');
    Route::get('/set-ups', [C\SetUpController::class, 'index'])->name('set-ups.index');
    Route::post('/set-ups', [C\SetUpController::class, 'store'])->middleware('may:change-order')->name('set-ups.store');
    Route::delete('/set-ups/{step}', [C\SetUpController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('set-ups.destroy');
    Route::get('/taking-apart', [C\ApartController::class, 'index'])->name('apart.index');
    Route::post('/taking-apart', [C\ApartController::class, 'store'])->middleware('may:build')->name('apart.store');
    Route::get('/receive', [C\ReceiveController::class, 'index'])->name('receive.index');
    Route::post('/orders/{order}/receive', [C\ReceiveController::class, 'store'])
        ->middleware('may:receive')
        ->name('receive.store');
    Route::post('/orders/{order}/receive-and-ship', [C\ReceiveController::class, 'ship'])
        ->middleware(['may:receive', 'may:ship'])
        ->name('receive.ship');
    Route::post('/orders/{order}/receive-and-issue', [C\ReceiveController::class, 'issue'])
        ->middleware(['may:receive', 'may:issue'])
        ->name('receive.issue');
    Route::post('/orders/{order}/close', [C\ReceiveController::class, 'close'])
        ->middleware('may:close')
        ->name('orders.close');
    Route::get('/ship', [C\ShipController::class, 'index'])->name('ship.index');
    Route::post('/customer-orders/{customerOrder}/ship', [C\ShipController::class, 'store'])
        ->middleware('may:ship')
        ->name('ship.store');
    Route::get('/coming-and-going', [C\FlowController::class, 'index'])->name('flow.index');
    Route::get('/coming-and-going/{item}', [C\FlowController::class, 'show'])->name('flow.show');
    Route::get('/stock', [C\StockController::class, 'index'])->name('stock.index');
    Route::post('/stock', [C\StockController::class, 'store'])->middleware('may:goods-in')->name('stock.store');
    Route::get('/stock/{item}', [C\StockController::class, 'show'])->name('stock.show');
    Route::post('/balances/{balance}/count', [C\StockController::class, 'count'])
        ->middleware('may:goods-in')
        ->name('stock.count');

    Route::post('/balances/{balance}/scrap', [C\StockController::class, 'scrap'])
        ->middleware('may:issue')
        ->name('stock.scrap');
    Route::post('/balances/{balance}/condition', [C\StockController::class, 'condition'])
        ->middleware('may:issue')
        ->name('stock.condition');
    Route::post('/lots/{lot}/expiry', [C\StockController::class, 'expiry'])
        ->middleware('may:issue')
        ->name('stock.expiry');
    Route::post('/items/{item}/standard', [C\StockController::class, 'standard'])
        ->middleware('may:value')
        ->name('stock.standard');

    Route::get('/returns', [C\ReturnController::class, 'index'])->name('returns.index');
    Route::post('/orders/{order}/returns', [C\ReturnController::class, 'store'])
        ->middleware('may:issue')
        ->name('returns.store');
    Route::get('/parts', [C\PartsController::class, 'index'])->name('parts.index');
    Route::get('/shortages', [C\ShortageController::class, 'index'])->name('shortages.index');
    Route::get('/shortages/{item}/cures', [C\ShortageController::class, 'cures'])->name('shortages.cures');
    Route::get('/rank', [C\RankController::class, 'index'])->name('rank.index');
    Route::post('/rank/preview', [C\RankController::class, 'preview'])
        ->middleware('may:rank')
        ->name('rank.preview');
    Route::post('/rank', [C\RankController::class, 'store'])
        ->middleware('may:rank')
        ->name('rank.store');
    Route::post('/reservations/preview', [C\ReservationController::class, 'preview'])
        ->middleware('may:reserve')
        ->name('reservations.preview');
    Route::post('/reservations', [C\ReservationController::class, 'store'])
        ->middleware('may:reserve')
        ->name('reservations.store');
    Route::delete('/reservations/{reservation}', [C\ReservationController::class, 'destroy'])
        ->middleware('may:reserve')
        ->name('reservations.destroy');
    Route::get('/purchases', [C\PurchaseController::class, 'index'])->name('purchases.index');
    Route::post('/purchases', [C\PurchaseController::class, 'store'])
        ->middleware('may:purchase')
        ->name('purchases.store');
    Route::middleware('may:purchase')->group(function (): void {
        Route::get('/orders/{order}/purchases', [C\WordsController::class, 'create'])->name('orders.buy-form');
        Route::post('/orders/{order}/purchases', [C\WordsController::class, 'store'])->name('orders.buy');
    });
    Route::get('/purchases/{purchaseOrder}', [C\PurchaseController::class, 'show'])->name('purchases.show');
    Route::get('/purchases/{purchaseOrder}/paper.pdf', [C\PurchasePaperController::class, 'show'])
        ->name('purchases.paper');
    Route::get('/purchases/{purchaseOrder}/paper.json', [C\PurchasePaperController::class, 'file'])
        ->name('purchases.file');
    Route::middleware('may:purchase')->group(function (): void {
        Route::put('/purchases/{purchaseOrder}', [C\PurchaseOrderController::class, 'update'])
            ->name('purchase-orders.update');
        Route::delete('/purchases/{purchaseOrder}', [C\PurchaseOrderController::class, 'destroy'])
            ->name('purchase-orders.destroy');
        Route::post('/purchases/{purchaseOrder}/sending', [C\PurchaseSendingController::class, 'store'])
            ->name('purchase-orders.send');
        Route::post('/purchases/{purchaseOrder}/answer', [C\PurchaseAnswerController::class, 'store'])
            ->name('purchase-orders.answer');
        Route::put('/purchase-lines/{line}/answer', [C\PurchaseAnswerController::class, 'update'])
            ->name('purchase-lines.settle');
        Route::put('/purchases/{purchaseOrder}/supplier', [C\PurchaseSupplierController::class, 'update'])
            ->name('purchase-orders.supplier');
    });
    Route::get('/goods-in', [C\DeliveryController::class, 'index'])->name('deliveries.index');
    Route::post('/goods-in', [C\DeliveryController::class, 'store'])
        ->middleware('may:goods-in')
        ->name('deliveries.store');
    Route::post('/purchase-lines/{line}/returns', [C\PurchaseReturnController::class, 'store'])
        ->middleware('may:goods-in')
        ->name('purchase-returns.store');
    Route::middleware('may:see-money')->group(function (): void {
        Route::get('/bills', [C\BillController::class, 'index'])->name('bills.index');
        Route::get('/not-billed', [C\NotBilledController::class, 'index'])->name('owed.index');
        Route::get('/bills/new', [C\BillController::class, 'create'])->middleware('may:bill')->name('bills.create');
        Route::get('/bills/{bill}', [C\BillController::class, 'show'])->name('bills.show');
    });
    Route::middleware('may:bill')->group(function (): void {
        Route::post('/bills', [C\BillController::class, 'store'])->name('bills.store');
        Route::post('/bills/file', [C\BillFileController::class, 'store'])->name('bills.file');
        Route::put('/bills/{bill}', [C\BillController::class, 'update'])->name('bills.accept');
        Route::delete('/bills/{bill}', [C\BillController::class, 'destroy'])->name('bills.refuse');
    });
    Route::get('/gate', [C\GateController::class, 'index'])->name('gate.index');
    Route::get('/chase', [C\ChaseController::class, 'index'])->name('chase.index');
    Route::middleware('may:purchase')->group(function (): void {
        Route::get('/suppliers/{partner}/call', [C\CallController::class, 'show'])->name('chase.call');
        Route::put('/suppliers/{partner}/call', [C\CallController::class, 'update'])->name('chase.days');
    });
    Route::get('/mails', [C\MailController::class, 'index'])->name('mails.index');
    Route::get('/mails/{mail}', [C\MailController::class, 'show'])->name('mails.show');
    Route::get('/mails/{mail}/paper.pdf', [C\MailController::class, 'paper'])->name('mails.paper');
    Route::get('/the-suppliers', [C\StandInController::class, 'index'])->name('mails.suppliers');
    Route::middleware('may:purchase')->group(function (): void {
        Route::put('/the-suppliers', [C\StandInController::class, 'update'])->name('mails.go-by');
        Route::post('/the-suppliers/{purchaseOrder}', [C\StandInController::class, 'store'])->name('mails.turn');
    });
    Route::post('/purchase-lines/{line}/part', [C\PurchasePartController::class, 'store'])
        ->middleware('may:purchase')
        ->name('purchase-lines.part');
    Route::get('/purchase-lines/{line}/forms', [C\PurchaseController::class, 'edit'])->name('purchase-lines.forms');
    Route::put('/purchase-lines/{line}', [C\PurchaseController::class, 'update'])
        ->middleware('may:purchase')
        ->name('purchases.update');
    Route::delete('/purchase-lines/{line}', [C\PurchaseController::class, 'destroy'])
        ->middleware('may:purchase')
        ->name('purchases.destroy');
    Route::put('/purchase-lines/{line}/arrival', [C\ArrivalController::class, 'purchase'])
        ->middleware('may:purchase')
        ->name('arrivals.purchase');
    Route::put('/consignment-lines/{line}/arrival', [C\ArrivalController::class, 'consignment'])
        ->middleware('may:purchase')
        ->name('arrivals.consignment');
    Route::get('/people', [C\PersonController::class, 'index'])->middleware('may:people')->name('people.index');
    Route::post('/people', [C\PersonController::class, 'store'])->middleware('may:people')->name('people.store');
    Route::put('/people/{person}', [C\PersonController::class, 'update'])
        ->middleware('may:people')
        ->name('people.update');
    Route::put('/people/{person}/password', [C\PersonController::class, 'reset'])
        ->middleware('may:people')
        ->name('people.reset');
    Route::post('/people/{person}/lock', [C\PersonController::class, 'lock'])
        ->middleware('may:people')
        ->name('people.lock');
    Route::delete('/people/{person}/lock', [C\PersonController::class, 'unlock'])
        ->middleware('may:people')
        ->name('people.unlock');
    foreach (PartnerKind::cases() as $kind) {
        $may = "may:{$kind->right()->value}";
        $routes = [
            Route::get("/{$kind->value}", [C\PartnerController::class, 'index'])->name("{$kind->value}.index"),
            Route::get("/{$kind->value}/new", [C\PartnerController::class, 'create'])
                ->middleware($may)
                ->name("{$kind->value}.create"),
            Route::post("/{$kind->value}", [C\PartnerController::class, 'store'])
                ->middleware($may)
                ->name("{$kind->value}.store"),
            Route::get("/{$kind->value}/{partner}", [C\PartnerController::class, 'show'])->name("{$kind->value}.show"),
            Route::get("/{$kind->value}/{partner}/change", [C\PartnerController::class, 'edit'])
                ->middleware($may)
                ->name("{$kind->value}.edit"),
            Route::put("/{$kind->value}/{partner}", [C\PartnerController::class, 'update'])
                ->middleware($may)
                ->name("{$kind->value}.update"),
            Route::post("/{$kind->value}/{partner}/retired", [C\RetiredPartnerController::class, 'store'])
                ->middleware($may)
                ->name("{$kind->value}.retire"),
            Route::delete("/{$kind->value}/{partner}/retired", [C\RetiredPartnerController::class, 'destroy'])
                ->middleware($may)
                ->name("{$kind->value}.bring-back"),
        ];
        foreach ($routes as $route) {
            $route->defaults('kind', $kind->value);
        }
    }
    Route::get('/files/{attachment}', [C\FileController::class, 'show'])->name('files.show');
    Route::delete('/files/{attachment}', [C\FileController::class, 'destroy'])->name('files.destroy');
    foreach (Attachable::cases() as $on) {
        Route::post("/{$on->address()}/{id}/files", [C\FileController::class, 'store'])
            ->middleware("may:{$on->right()->value}")
            ->name("{$on->value}.files")
            ->defaults('on', $on->value);
    }
    Route::get('/changes', [C\ChangeController::class, 'index'])->name('changes.index');
    Route::get('/settings', [C\SettingController::class, 'index'])->name('settings.index');
    Route::get('/units', [C\UnitController::class, 'index'])->name('units.index');
    Route::get('/places', [C\PlaceController::class, 'index'])->name('places.index');
    Route::get('/crews', [C\CrewController::class, 'index'])->name('crews.index');
    Route::middleware('may:set-up')->group(function (): void {
        Route::put('/settings', [C\SettingController::class, 'update'])->name('settings.update');
        Route::put('/settings/numberings', [C\SettingController::class, 'numberings'])->name('settings.numberings');
        Route::put('/settings/reasons', [C\SettingController::class, 'reasons'])->name('settings.reasons');
        Route::put('/units', [C\UnitController::class, 'update'])->name('units.update');
        Route::put('/places', [C\PlaceController::class, 'update'])->name('places.update');
        Route::put('/crews', [C\CrewController::class, 'update'])->name('crews.update');
    });
    Route::get('/questions', [C\QuestionController::class, 'index'])->name('questions.index');
    Route::put('/questions/{question}', [C\QuestionController::class, 'update'])
        ->middleware('may:issue')
        ->name('questions.update');
    Route::put('/questions/{question}/over', [C\OverController::class, 'update'])
        ->middleware('may:purchase')
        ->name('questions.over');
    Route::get('/periods', [C\PeriodController::class, 'index'])->name('periods.index');
    Route::post('/periods', [C\PeriodController::class, 'store'])
        ->middleware('may:value')
        ->name('periods.store');
    Route::get('/standard-costs', [C\StandardController::class, 'index'])
        ->middleware('may:see-money')
        ->name('standards.index');
    Route::post('/standard-costs', [C\StandardController::class, 'store'])
        ->middleware('may:value')
        ->name('standards.store');
    Route::delete('/standard-costs/coming/{coming}', [C\StandardController::class, 'drop'])
        ->middleware('may:value')
        ->name('standards.drop');
    Route::delete('/standard-costs/{booking}', [C\StandardController::class, 'destroy'])
        ->middleware('may:value')
        ->name('standards.destroy');
    Route::delete('/bookings/{booking}/lines', [C\BookingController::class, 'lines'])
        ->middleware('may:reverse')
        ->name('bookings.lines');
    Route::post('/moves/{move}/lot', [C\BookingController::class, 'lot'])
        ->middleware('may:reverse')
        ->name('bookings.lot');
    Route::post('/bookings/{booking}/late-cost', [C\BookingController::class, 'lateCost'])
        ->middleware('may:value')
        ->name('bookings.late-cost');
    Route::put('/order-components/{component}/parts', [C\OrderComponentController::class, 'parts'])
        ->middleware('may:change-order')
        ->name('order-components.parts');
    Route::put('/order-components/{component}/swap', [C\OrderComponentController::class, 'swap'])
        ->middleware('may:change-order')
        ->name('order-components.swap');

    Route::get('/bookings', [C\BookingController::class, 'index'])->name('bookings.index');
    Route::get('/bookings/{booking}/effect', [C\EffectController::class, 'show'])->name('effect.show');
    Route::get('/bookings/{booking}/labels.pdf', [C\BookingController::class, 'labels'])->name('bookings.labels');
    Route::get('/bookings/{booking}', [C\BookingController::class, 'show'])->name('bookings.show');
    Route::delete('/bookings/{booking}', [C\BookingController::class, 'destroy'])->name('bookings.destroy');

    Route::get('/import', [C\ImportController::class, 'index'])->middleware('may:import')->name('import.index');
    Route::post('/import', [C\ImportController::class, 'store'])->middleware('may:import')->name('import.store');
    Route::get('/import/{import}', [C\ImportController::class, 'show'])->middleware('may:import')->name('import.show');
    Route::put('/import/{import}', [C\ImportController::class, 'update'])
        ->middleware('may:import')
        ->name('import.update');
    Route::post('/take-out', [C\TakeOutController::class, 'store'])->name('take-out.store');
});

// a page of our own, with the bar on top for who is logged in
Route::fallback(fn () => abort(404, 'What that address led to is not there, or not any more.'));
