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
    Route::get('/login', [C\People\LoginController::class, 'show'])->name('login');
    Route::post('/login', [C\People\LoginController::class, 'store'])->name('login.store');
});

// calendar programs cannot log in: the signature in the address is the key
Route::get('/feeds/work-centres/{centre}.ics', [C\Board\DispatchFeedController::class, 'show'])
    ->middleware('signed')
    ->name('dispatch.feed');

Route::middleware(['auth', 'still-in', 'may:look'])->group(function (): void {
    Route::get('/password', [C\People\PasswordController::class, 'show'])->name('password.show');
    Route::put('/password', [C\People\PasswordController::class, 'update'])->name('password.update');
    Route::post('/logout', [C\People\LoginController::class, 'destroy'])->name('logout');

    Route::get('/', [C\Today\TodayController::class, 'index'])->name('today');
    Route::get('/find', [C\Today\FindController::class, 'index'])->name('find');
    Route::get('/items', [C\Product\ItemController::class, 'index'])->name('items.index');
    Route::get('/items/choose', [C\Product\ItemChoiceController::class, 'index'])->name('items.choose');
    Route::get('/items/new', [C\Product\ItemController::class, 'create'])
        ->middleware('may:change-items')
        ->name('items.create');
    Route::post('/items', [C\Product\ItemController::class, 'store'])
        ->middleware('may:change-items')
        ->name('items.store');
    Route::get('/items/{item}', [C\Product\ItemController::class, 'show'])->name('items.show');
    Route::get('/items/{item}/change', [C\Product\ItemController::class, 'edit'])
        ->middleware('may:change-items')
        ->name('items.edit');
    Route::put('/items/{item}', [C\Product\ItemController::class, 'update'])
        ->middleware('may:change-items')
        ->name('items.update');
    Route::post('/items/{item}/retired', [C\Product\RetiredItemController::class, 'store'])
        ->middleware('may:change-items')
        ->name('retired-items.store');
    Route::delete('/items/{item}/retired', [C\Product\RetiredItemController::class, 'destroy'])
        ->middleware('may:change-items')
        ->name('retired-items.destroy');
    Route::post('/items/{item}/replaced', [C\Product\ReplacedItemController::class, 'store'])
        ->middleware('may:draw-up')
        ->name('replaced-items.store');
    Route::get('/work-centres', [C\Product\WorkCentreController::class, 'index'])->name('centres.index');
    Route::get('/work-centres/{centre}', [C\Product\WorkCentreController::class, 'show'])->name('centres.show');
    Route::post('/work-centres', [C\Product\WorkCentreController::class, 'store'])
        ->middleware('may:draw-up')
        ->name('centres.store');
    Route::put('/work-centres/{centre}', [C\Product\WorkCentreController::class, 'update'])
        ->middleware('may:draw-up')
        ->name('centres.update');
    Route::get('/drafts', [C\Product\DraftController::class, 'index'])->name('drafts.index');
    Route::get('/structures/{structure}/costs.pdf', [C\Product\StructurePaperController::class, 'show'])
        ->name('structures.paper');
    $revised = [
        'structure' => C\Product\StructureController::class,
        'routing' => C\Product\RoutingController::class,
    ];
    foreach ($revised as $what => $of) {
        Route::get("/{$what}s/{{$what}}", [$of, 'show'])->name("{$what}s.show");
        Route::middleware('may:draw-up')->group(function () use ($what, $of): void {
            Route::post("/items/{item}/{$what}s", [$of, 'store'])->name("{$what}s.store");
            Route::put("/{$what}s/{{$what}}", [$of, 'update'])->name("{$what}s.update");
            Route::delete("/{$what}s/{{$what}}", [$of, 'destroy'])->name("{$what}s.destroy");
        });
        Route::post("/{$what}s/{{$what}}/approval", [C\Product\ApprovalController::class, 'store'])
            ->defaults('kind', "{$what}s")
            ->middleware('may:approve')
            ->name("{$what}s.approval");
    }

    Route::get('/customer-orders', [C\Demand\CustomerOrderController::class, 'index'])->name('customer-orders.index');
    Route::get('/customer-orders/new', [C\Demand\CustomerOrderController::class, 'create'])
        ->middleware('may:enter-customer-order')
        ->name('customer-orders.create');
    Route::post('/customer-orders', [C\Demand\CustomerOrderController::class, 'store'])
        ->middleware('may:enter-customer-order')
        ->name('customer-orders.store');
    Route::get('/customer-lines/{line}/cost', [C\Demand\LineCostController::class, 'show'])
        ->middleware('may:see-money')
        ->name('customer-lines.cost');
    Route::get('/customer-lines/{line}/chain', [C\Demand\LineChainController::class, 'show'])
        ->name('customer-lines.chain');
    Route::get('/customer-orders/{customerOrder}', [C\Demand\CustomerOrderController::class, 'show'])->name(
        'customer-orders.show',
    );
    Route::put('/customer-order-lines/{line}', [C\Demand\CustomerOrderController::class, 'update'])
        ->middleware('may:enter-customer-order')
        ->name('customer-order-lines.update');
    Route::delete('/customer-order-lines/{line}', [C\Demand\CustomerOrderLineController::class, 'destroy'])
        ->middleware('may:enter-customer-order')
        ->name('customer-order-lines.destroy');
    Route::post('/covers', [C\Demand\CoverController::class, 'store'])
        ->middleware('may:cover')
        ->name('covers.store');
    Route::put('/customer-order-lines/{line}/cover', [C\Demand\CoverController::class, 'update'])
        ->middleware('may:cover')
        ->name('covers.update');
    Route::delete('/covers/{cover}', [C\Demand\CoverController::class, 'destroy'])
        ->middleware('may:cover')
        ->name('covers.destroy');

    Route::get('/orders', [C\Orders\OrderController::class, 'index'])->name('orders.index');
    Route::post('/orders', [C\Orders\OrderController::class, 'store'])
        ->middleware('may:change-order')
        ->name('orders.store');
    Route::get('/orders/{order}', [C\Orders\OrderController::class, 'show'])->name('orders.show');
    Route::put('/orders/{order}', [C\Orders\OrderController::class, 'update'])
        ->middleware('may:change-order')
        ->name('orders.update');
    Route::delete('/orders/{order}', [C\Orders\OrderController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('orders.destroy');
    Route::post('/orders/{order}/split', [C\Orders\OrderSplitController::class, 'store'])
        ->middleware('may:change-order')
        ->name('orders.split');
    Route::post('/orders/{order}/copy', [C\Orders\OrderCopyController::class, 'store'])
        ->middleware('may:change-order')
        ->name('orders.copy');
    Route::post('/orders/{order}/short', [C\Orders\ShortOrderController::class, 'store'])
        ->middleware('may:change-order')
        ->name('orders.short');
    Route::post('/orders/{order}/components', [C\Orders\OrderComponentController::class, 'store'])
        ->middleware('may:change-order')
        ->name('order-components.store');
    Route::post('/order-components/{component}/order', [C\Orders\MadePartController::class, 'store'])
        ->middleware('may:change-order')
        ->name('order-components.make');
    Route::put('/order-components/{component}', [C\Orders\OrderComponentController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-components.update');
    Route::put('/order-outputs/{output}', [C\Orders\OrderOutputController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-outputs.update');
    Route::post('/orders/{order}/steps', [C\Orders\OrderStepController::class, 'store'])
        ->middleware('may:change-order')
        ->name('order-steps.store');
    Route::delete('/order-steps/{step}', [C\Orders\OrderStepController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('order-steps.destroy');
    Route::put('/order-steps/{step}', [C\Orders\OrderStepController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-steps.update');

    Route::get('/release', [C\Orders\ReleaseController::class, 'index'])->name('release.index');
    Route::post('/release', [C\Orders\ReleaseController::class, 'store'])
        ->middleware('may:release')
        ->name('release.store');
    Route::get('/board', [C\Board\BoardController::class, 'index'])->name('board');
    Route::get('/board/data', [C\Board\BoardDataController::class, 'show'])->name('board.data');
    Route::get('/day', [C\Today\DayController::class, 'show'])->name('day');
    Route::get('/board/news', [C\Board\BoardNewsController::class, 'show'])->name('board.news');
    Route::get('/board/preview', [C\Board\MovePreviewController::class, 'show'])->name('board.preview');
    Route::get('/board/plan.pdf', [C\Board\BoardPaperController::class, 'show'])->name('board.paper');
    Route::get('/board/threads/{order}', [C\Board\BoardThreadController::class, 'show'])->name('board.threads');
    Route::post('/board/steps/{step}', [C\Board\PlannedStepController::class, 'store'])
        ->middleware('may:plan')
        ->name('board.move');
    Route::delete('/board/steps/{step}/pin', [C\Board\PlannedStepController::class, 'destroy'])
        ->middleware('may:plan')
        ->name('board.unpin');
    Route::post('/board/undo', [C\Board\PlanUndoController::class, 'store'])
        ->middleware('may:plan')
        ->name('board.undo');
    Route::post('/board/redo', [C\Board\PlanRedoController::class, 'store'])
        ->middleware('may:plan')
        ->name('board.redo');
    Route::post('/board/by-rank', [C\Board\PlanByRankController::class, 'store'])
        ->middleware('may:plan')
        ->name('board.by-rank');
    Route::get('/late', [C\Board\LateController::class, 'index'])->name('late.index');
    Route::get('/late/{order}', [C\Board\LateController::class, 'show'])->name('late.show');
    Route::get('/late/{order}/levers', [C\Board\LeverController::class, 'index'])->name('late.levers');
    Route::post('/late/{order}', [C\Board\LateController::class, 'store'])->middleware('may:plan')->name('late.try');
    Route::get('/plans', [C\Board\PlanController::class, 'index'])->name('plans.index');
    Route::post('/plans', [C\Board\PlanController::class, 'store'])
        ->middleware('may:plan')
        ->name('plans.store');
    Route::post('/plans/search', [C\Board\SearchController::class, 'store'])
        ->middleware('may:plan')
        ->name('plans.search');
    Route::post('/searches/{search}/stop', [C\Board\StoppedSearchController::class, 'store'])
        ->middleware('may:plan')
        ->name('plans.stop');
    Route::get('/searches/{search}', [C\Board\SearchController::class, 'show'])->name('plans.watch');
    Route::get('/plans/{plan}', [C\Board\PlanController::class, 'show'])->name('plans.show');
    Route::post('/plans/{plan}/again', [C\Board\PlanAgainController::class, 'store'])
        ->middleware('may:plan')
        ->name('plans.again');
    Route::post('/plans/{plan}/live', [C\Board\LivePlanController::class, 'store'])
        ->middleware('may:plan')
        ->name('plans.live');
    Route::delete('/plans/{plan}', [C\Board\PlanController::class, 'destroy'])
        ->middleware('may:plan')
        ->name('plans.destroy');
    Route::get('/absence', [C\Board\AbsenceController::class, 'index'])->name('absence.index');
    Route::post('/absence/machine', [C\Board\MachineDownController::class, 'store'])
        ->middleware('may:say-absent')
        ->name('absence.machine');
    Route::post('/absence/person', [C\Board\PersonAwayController::class, 'store'])
        ->middleware('may:say-absent')
        ->name('absence.person');
    Route::post('/absence/{what}/{id}/back', [C\Board\BackAgainController::class, 'store'])
        ->whereIn('what', ['machine', 'person'])
        ->middleware('may:say-absent')
        ->name('absence.back');
    Route::get('/dispatch', [C\Board\DispatchController::class, 'index'])->name('dispatch.index');
    Route::get('/dispatch/{centre}', [C\Board\DispatchController::class, 'show'])->name('dispatch.show');
    Route::get('/dispatch/{centre}/list.pdf', [C\Board\DispatchPaperController::class, 'show'])->name('dispatch.pdf');
    Route::get('/dispatch/{centre}/list.csv', [C\Board\DispatchTableController::class, 'show'])->name('dispatch.csv');
    Route::get('/promise', [C\Demand\PromiseController::class, 'index'])->name('promise.index');
    Route::post('/promise', [C\Demand\AskedPromiseController::class, 'store'])
        ->middleware('may:promise')
        ->name('promise.ask');
    Route::post('/promise/held', [C\Demand\PromiseController::class, 'store'])
        ->middleware('may:promise')
        ->name('promise.store');
    Route::delete('/promise/held/{promise}', [C\Demand\PromiseController::class, 'destroy'])
        ->middleware('may:promise')
        ->name('promise.destroy');
    Route::get('/calendars', [C\Board\CalendarController::class, 'index'])->name('calendars.index');
    Route::post('/calendars', [C\Board\CalendarController::class, 'store'])
        ->middleware('may:plan')
        ->name('calendars.store');
    Route::get('/calendars/{calendar}', [C\Board\CalendarController::class, 'show'])->name('calendars.show');
    Route::put('/calendars/{calendar}', [C\Board\CalendarController::class, 'update'])
        ->middleware('may:plan')
        ->name('calendars.update');
    Route::get('/calendars/{calendar}/calendar.ics', [C\Board\CalendarFileController::class, 'show'])
        ->name('calendars.file');
    Route::get('/issue', [C\Usage\SlipController::class, 'index'])->name('issue.index');
    Route::post('/slips', [C\Usage\SlipController::class, 'store'])->middleware('may:issue')->name('slips.store');
    Route::get('/slips/{slip}', [C\Usage\SlipController::class, 'show'])->name('slips.show');
    Route::put('/slips/{slip}', [C\Usage\SlipController::class, 'update'])
        ->middleware('may:issue')
        ->name('slips.update');
    Route::delete('/slips/{slip}', [C\Usage\SlipController::class, 'destroy'])
        ->middleware('may:issue')
        ->name('slips.destroy');
    Route::post('/slips/{slip}/lines', [C\Usage\SlipLineController::class, 'store'])
        ->middleware('may:issue')
        ->name('slips.add');
    Route::get('/slips/{slip}/lines/{line}', [C\Usage\SlipLineController::class, 'show'])->name('slips.line');
    Route::get('/slips/{slip}/pick', [C\Usage\SlipPickController::class, 'show'])->name('slips.pick');
    Route::post('/slips/{slip}/pick', [C\Usage\SlipPickController::class, 'store'])
        ->middleware('may:issue')
        ->name('slips.picked');
    Route::get('/slips/{slip}/pick.pdf', [C\Usage\SlipPaperController::class, 'show'])->name('slips.paper');
    Route::get('/station', [C\Station\StationController::class, 'index'])->name('station.index');
    Route::get('/station/{station}', [C\Station\StationController::class, 'show'])->name('station.show');
    Route::post('/order-steps/{step}/start', [C\Station\StartedStepController::class, 'store'])
        ->middleware('may:report')
        ->name('station.start');
    Route::post('/order-steps/{step}/report', [C\Station\StepReportController::class, 'store'])
        ->middleware('may:report')
        ->name('station.report');
    Route::get('/send-out', [C\Outside\ConsignmentController::class, 'index'])->name('send-outs.index');
    Route::post('/send-out', [C\Outside\ConsignmentController::class, 'store'])
        ->middleware('may:outside')
        ->name('send-outs.store');
    Route::get('/send-out/{supplier}/to-go.pdf', [C\Outside\ToGoPaperController::class, 'show'])
        ->name('send-outs.paper');
    Route::get('/consignments/{consignment}', [C\Outside\ConsignmentController::class, 'show'])
        ->name('consignments.show');
    Route::get('/consignments/{consignment}/paper.pdf', [C\Outside\ConsignmentPaperController::class, 'show'])
        ->name('consignments.paper');
    Route::get('/consignments/{consignment}/labels.pdf', [C\Outside\ConsignmentLabelController::class, 'show'])
        ->name('consignments.labels');
    Route::post('/order-steps/work', [C\Outside\WorkController::class, 'store'])
        ->middleware('may:purchase')
        ->name('work.store');
    Route::post('/order-components/{component}/unused', [C\Outside\UnusedController::class, 'store'])
        ->middleware('may:outside')
        ->name('unused.store');
    Route::put('/order-steps/{step}/supplier', [C\Orders\StepSupplierController::class, 'update'])
        ->middleware('may:purchase')
        ->name('step-suppliers.update');
    Route::put('/order-steps/{step}/place', [C\Orders\StepPlaceController::class, 'update'])
        ->middleware('may:change-order')
        ->name('step-places.update');
    Route::get('/purchase-lines/{line}/made', [C\Outside\MadeController::class, 'edit'])->name('made.edit');
    Route::post('/purchase-lines/{line}/made', [C\Outside\MadeController::class, 'store'])
        ->middleware('may:outside')
        ->name('made.store');
    Route::post('/purchases/{purchaseOrder}/parts', [C\Purchasing\PurchasePartsController::class, 'store'])
        ->middleware('may:purchase')
        ->name('purchase-orders.parts');
    Route::put('/questions/{question}/left', [C\Outside\LeftController::class, 'update'])
        ->middleware('may:purchase')
        ->name('questions.left');
    Route::get('/claims', [C\Outside\ClaimController::class, 'index'])->name('claims.index');
    Route::put('/claims/{claim}', [C\Outside\ClaimController::class, 'update'])
        ->middleware('may:purchase')
        ->name('claims.update');
    Route::get('/at-suppliers', [C\Outside\OutsideController::class, 'index'])->name('at-suppliers.index');
    Route::get('/order-steps/{step}/back', [C\Outside\OutsideController::class, 'edit'])->name('outside.edit');
    Route::post('/order-steps/{step}/back', [C\Outside\OutsideController::class, 'store'])
        ->middleware('may:outside')
        ->name('outside.store');
    Route::get('/builds', [C\Builds\BuildController::class, 'index'])->name('builds.index');
    Route::get('/builds/new', [C\Builds\BuildController::class, 'create'])->name('builds.create');
    Route::post('/builds', [C\Builds\BuildController::class, 'store'])->middleware('may:build')->name('builds.store');
    Route::get('/builds/{order}', [C\Builds\BuildController::class, 'show'])->name('builds.show');
    Route::put('/builds/{order}', [C\Builds\BuildController::class, 'update'])
        ->middleware('may:build')
        ->name('builds.update');
    Route::put('/builds/{order}/shipped', [C\Builds\ShippedBuildController::class, 'update'])
        ->middleware(['may:build', 'may:ship'])
        ->name('builds.ship');
    Route::delete('/builds/{order}', [C\Builds\BuildController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('builds.destroy');
    Route::get('/builds/{order}/paper.pdf', [C\Builds\BuildPaperController::class, 'show'])->name('builds.paper');
    Route::get('/combine', [C\Combine\CombineController::class, 'index'])->name('combine.index');
    Route::post('/combine', [C\Combine\CombineController::class, 'store'])
        ->middleware('may:change-order')
        ->name('combine.store');
    Route::delete('/covers/{cover}/share', [C\Combine\CombineController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('combine.destroy');
    Route::get('/set-ups', [C\Combine\SetUpController::class, 'index'])->name('set-ups.index');
    Route::post('/set-ups', [C\Combine\SetUpController::class, 'store'])
        ->middleware('may:change-order')
        ->name('set-ups.store');
    Route::delete('/set-ups/{step}', [C\Combine\SetUpController::class, 'destroy'])
        ->middleware('may:change-order')
        ->name('set-ups.destroy');
    Route::get('/taking-apart', [C\Builds\ApartController::class, 'index'])->name('apart.index');
    Route::post('/taking-apart', [C\Builds\ApartController::class, 'store'])
        ->middleware('may:build')
        ->name('apart.store');
    Route::get('/receive', [C\Orders\ReceiveController::class, 'index'])->name('receive.index');
    Route::post('/orders/{order}/receive', [C\Orders\ReceiveController::class, 'store'])
        ->middleware('may:receive')
        ->name('receive.store');
    Route::post('/orders/{order}/receive-and-ship', [C\Orders\ReceivedAndShippedController::class, 'store'])
        ->middleware(['may:receive', 'may:ship'])
        ->name('receive.ship');
    Route::post('/orders/{order}/receive-and-issue', [C\Orders\ReceivedAndIssuedController::class, 'store'])
        ->middleware(['may:receive', 'may:issue'])
        ->name('receive.issue');
    Route::post('/orders/{order}/close', [C\Orders\ClosedOrderController::class, 'store'])
        ->middleware('may:close')
        ->name('orders.close');
    Route::get('/ship', [C\Demand\ShipController::class, 'index'])->name('ship.index');
    Route::post('/customer-orders/{customerOrder}/ship', [C\Demand\ShipController::class, 'store'])
        ->middleware('may:ship')
        ->name('ship.store');
    Route::get('/coming-and-going', [C\Stock\FlowController::class, 'index'])->name('flow.index');
    Route::get('/coming-and-going/{item}', [C\Stock\FlowController::class, 'show'])->name('flow.show');
    Route::get('/stock', [C\Stock\StockController::class, 'index'])->name('stock.index');
    Route::post('/stock', [C\Stock\StockController::class, 'store'])->middleware('may:goods-in')->name('stock.store');
    Route::get('/stock/{item}', [C\Stock\StockController::class, 'show'])->name('stock.show');
    Route::post('/balances/{balance}/count', [C\Stock\StockCountController::class, 'store'])
        ->middleware('may:goods-in')
        ->name('stock.count');

    Route::post('/balances/{balance}/scrap', [C\Stock\StockScrapController::class, 'store'])
        ->middleware('may:issue')
        ->name('stock.scrap');
    Route::post('/balances/{balance}/condition', [C\Stock\StockConditionController::class, 'store'])
        ->middleware('may:issue')
        ->name('stock.condition');
    Route::post('/lots/{lot}/expiry', [C\Stock\LotExpiryController::class, 'store'])
        ->middleware('may:issue')
        ->name('stock.expiry');
    Route::post('/items/{item}/standard', [C\Stock\StandardCostController::class, 'store'])
        ->middleware('may:value')
        ->name('stock.standard');

    Route::get('/returns', [C\Usage\ReturnController::class, 'index'])->name('returns.index');
    Route::post('/orders/{order}/returns', [C\Usage\ReturnController::class, 'store'])
        ->middleware('may:issue')
        ->name('returns.store');
    Route::get('/parts', [C\Orders\PartsController::class, 'index'])->name('parts.index');
    Route::get('/shortages', [C\Purchasing\ShortageController::class, 'index'])->name('shortages.index');
    Route::get('/shortages/{item}/cures', [C\Purchasing\CureController::class, 'index'])->name('shortages.cures');
    Route::get('/rank', [C\Orders\RankController::class, 'index'])->name('rank.index');
    Route::post('/rank/preview', [C\Orders\RankEffectController::class, 'store'])
        ->middleware('may:rank')
        ->name('rank.preview');
    Route::post('/rank', [C\Orders\RankController::class, 'store'])
        ->middleware('may:rank')
        ->name('rank.store');
    Route::post('/reservations/preview', [C\Stock\ReservationEffectController::class, 'store'])
        ->middleware('may:reserve')
        ->name('reservations.preview');
    Route::post('/reservations', [C\Stock\ReservationController::class, 'store'])
        ->middleware('may:reserve')
        ->name('reservations.store');
    Route::delete('/reservations/{reservation}', [C\Stock\ReservationController::class, 'destroy'])
        ->middleware('may:reserve')
        ->name('reservations.destroy');
    Route::get('/purchases', [C\Purchasing\PurchaseController::class, 'index'])->name('purchases.index');
    Route::post('/purchases', [C\Purchasing\PurchaseController::class, 'store'])
        ->middleware('may:purchase')
        ->name('purchases.store');
    Route::middleware('may:purchase')->group(function (): void {
        Route::get('/orders/{order}/purchases', [C\Orders\WordsController::class, 'create'])->name('orders.buy-form');
        Route::post('/orders/{order}/purchases', [C\Orders\WordsController::class, 'store'])->name('orders.buy');
    });
    Route::get('/purchases/{purchaseOrder}', [C\Purchasing\PurchaseController::class, 'show'])->name('purchases.show');
    Route::get('/purchases/{purchaseOrder}/paper.pdf', [C\Purchasing\PurchasePaperController::class, 'show'])
        ->name('purchases.paper');
    Route::get('/purchases/{purchaseOrder}/paper.json', [C\Purchasing\PurchaseFileController::class, 'show'])
        ->name('purchases.file');
    Route::middleware('may:purchase')->group(function (): void {
        Route::put('/purchases/{purchaseOrder}', [C\Purchasing\PurchaseOrderController::class, 'update'])
            ->name('purchase-orders.update');
        Route::delete('/purchases/{purchaseOrder}', [C\Purchasing\PurchaseOrderController::class, 'destroy'])
            ->name('purchase-orders.destroy');
        Route::post('/purchases/{purchaseOrder}/sending', [C\Purchasing\PurchaseSendingController::class, 'store'])
            ->name('purchase-orders.send');
        Route::post('/purchases/{purchaseOrder}/answer', [C\Purchasing\PurchaseAnswerController::class, 'store'])
            ->name('purchase-orders.answer');
        Route::put('/purchase-lines/{line}/answer', [C\Purchasing\PurchaseAnswerController::class, 'update'])
            ->name('purchase-lines.settle');
        Route::put('/purchases/{purchaseOrder}/supplier', [C\Purchasing\PurchaseSupplierController::class, 'update'])
            ->name('purchase-orders.supplier');
    });
    Route::get('/goods-in', [C\Purchasing\DeliveryController::class, 'index'])->name('deliveries.index');
    Route::post('/goods-in', [C\Purchasing\DeliveryController::class, 'store'])
        ->middleware('may:goods-in')
        ->name('deliveries.store');
    Route::post('/purchase-lines/{line}/returns', [C\Purchasing\PurchaseReturnController::class, 'store'])
        ->middleware('may:goods-in')
        ->name('purchase-returns.store');
    Route::middleware('may:see-money')->group(function (): void {
        Route::get('/bills', [C\Billing\BillController::class, 'index'])->name('bills.index');
        Route::get('/not-billed', [C\Billing\NotBilledController::class, 'index'])->name('owed.index');
        Route::get('/bills/new', [C\Billing\BillController::class, 'create'])
            ->middleware('may:bill')
            ->name('bills.create');
        Route::get('/bills/{bill}', [C\Billing\BillController::class, 'show'])->name('bills.show');
    });
    Route::middleware('may:bill')->group(function (): void {
        Route::post('/bills', [C\Billing\BillController::class, 'store'])->name('bills.store');
        Route::post('/bills/file', [C\Billing\BillFileController::class, 'store'])->name('bills.file');
        Route::put('/bills/{bill}', [C\Billing\BillController::class, 'update'])->name('bills.accept');
        Route::delete('/bills/{bill}', [C\Billing\BillController::class, 'destroy'])->name('bills.refuse');
    });
    Route::get('/gate', [C\Outside\GateController::class, 'index'])->name('gate.index');
    Route::get('/chase', [C\Purchasing\ChaseController::class, 'index'])->name('chase.index');
    Route::middleware('may:purchase')->group(function (): void {
        Route::get('/suppliers/{partner}/call', [C\Partners\CallController::class, 'show'])->name('chase.call');
        Route::put('/suppliers/{partner}/call', [C\Partners\CallController::class, 'update'])->name('chase.days');
    });
    Route::get('/mails', [C\Partners\MailController::class, 'index'])->name('mails.index');
    Route::get('/mails/{mail}', [C\Partners\MailController::class, 'show'])->name('mails.show');
    Route::get('/mails/{mail}/paper.pdf', [C\Partners\MailPaperController::class, 'show'])->name('mails.paper');
    Route::get('/the-suppliers', [C\Partners\StandInController::class, 'index'])->name('mails.suppliers');
    Route::middleware('may:purchase')->group(function (): void {
        Route::put('/the-suppliers', [C\Partners\StandInController::class, 'update'])->name('mails.go-by');
        Route::post('/the-suppliers/{purchaseOrder}', [C\Partners\StandInController::class, 'store'])
            ->name('mails.turn');
    });
    Route::post('/purchase-lines/{line}/part', [C\Purchasing\PurchasePartController::class, 'store'])
        ->middleware('may:purchase')
        ->name('purchase-lines.part');
    Route::get('/purchase-lines/{line}/forms', [C\Purchasing\PurchaseController::class, 'edit'])
        ->name('purchase-lines.forms');
    Route::put('/purchase-lines/{line}', [C\Purchasing\PurchaseController::class, 'update'])
        ->middleware('may:purchase')
        ->name('purchases.update');
    Route::delete('/purchase-lines/{line}', [C\Purchasing\PurchaseController::class, 'destroy'])
        ->middleware('may:purchase')
        ->name('purchases.destroy');
    Route::put('/purchase-lines/{line}/arrival', [C\Purchasing\PurchaseArrivalController::class, 'update'])
        ->middleware('may:purchase')
        ->name('arrivals.purchase');
    Route::put('/consignment-lines/{line}/arrival', [C\Outside\ConsignmentArrivalController::class, 'update'])
        ->middleware('may:purchase')
        ->name('arrivals.consignment');
    Route::get('/people', [C\People\PersonController::class, 'index'])->middleware('may:people')->name('people.index');
    Route::post('/people', [C\People\PersonController::class, 'store'])->middleware('may:people')->name('people.store');
    Route::put('/people/{person}', [C\People\PersonController::class, 'update'])
        ->middleware('may:people')
        ->name('people.update');
    Route::put('/people/{person}/password', [C\People\PersonPasswordController::class, 'update'])
        ->middleware('may:people')
        ->name('people.reset');
    Route::post('/people/{person}/lock', [C\People\PersonLockController::class, 'store'])
        ->middleware('may:people')
        ->name('people.lock');
    Route::delete('/people/{person}/lock', [C\People\PersonLockController::class, 'destroy'])
        ->middleware('may:people')
        ->name('people.unlock');
    foreach (PartnerKind::cases() as $kind) {
        $may = "may:{$kind->right()->value}";
        $routes = [
            Route::get("/{$kind->value}", [C\Partners\PartnerController::class, 'index'])->name("{$kind->value}.index"),
            Route::get("/{$kind->value}/new", [C\Partners\PartnerController::class, 'create'])
                ->middleware($may)
                ->name("{$kind->value}.create"),
            Route::post("/{$kind->value}", [C\Partners\PartnerController::class, 'store'])
                ->middleware($may)
                ->name("{$kind->value}.store"),
            Route::get("/{$kind->value}/{partner}", [C\Partners\PartnerController::class, 'show'])
                ->name("{$kind->value}.show"),
            Route::get("/{$kind->value}/{partner}/change", [C\Partners\PartnerController::class, 'edit'])
                ->middleware($may)
                ->name("{$kind->value}.edit"),
            Route::put("/{$kind->value}/{partner}", [C\Partners\PartnerController::class, 'update'])
                ->middleware($may)
                ->name("{$kind->value}.update"),
            Route::post("/{$kind->value}/{partner}/retired", [C\Partners\RetiredPartnerController::class, 'store'])
                ->middleware($may)
                ->name("{$kind->value}.retire"),
            Route::delete("/{$kind->value}/{partner}/retired", [C\Partners\RetiredPartnerController::class, 'destroy'])
                ->middleware($may)
                ->name("{$kind->value}.bring-back"),
        ];
        foreach ($routes as $route) {
            $route->defaults('kind', $kind->value);
        }
    }
    Route::get('/files/{attachment}', [C\Product\FileController::class, 'show'])->name('files.show');
    Route::delete('/files/{attachment}', [C\Product\FileController::class, 'destroy'])->name('files.destroy');
    foreach (Attachable::cases() as $on) {
        Route::post("/{$on->address()}/{id}/files", [C\Product\FileController::class, 'store'])
            ->middleware("may:{$on->right()->value}")
            ->name("{$on->value}.files")
            ->defaults('on', $on->value);
    }
    Route::get('/changes', [C\Product\ChangeController::class, 'index'])->name('changes.index');
    Route::get('/settings', [C\Settings\SettingController::class, 'index'])->name('settings.index');
    Route::get('/units', [C\Product\UnitController::class, 'index'])->name('units.index');
    Route::get('/places', [C\Settings\PlaceController::class, 'index'])->name('places.index');
    Route::get('/crews', [C\Product\CrewController::class, 'index'])->name('crews.index');
    Route::middleware('may:set-up')->group(function (): void {
        Route::put('/settings', [C\Settings\SettingController::class, 'update'])->name('settings.update');
        Route::put('/settings/numberings', [C\Settings\NumberingController::class, 'update'])
            ->name('settings.numberings');
        Route::put('/settings/reasons', [C\Settings\ReasonController::class, 'update'])->name('settings.reasons');
        Route::put('/units', [C\Product\UnitController::class, 'update'])->name('units.update');
        Route::put('/places', [C\Settings\PlaceController::class, 'update'])->name('places.update');
        Route::put('/crews', [C\Product\CrewController::class, 'update'])->name('crews.update');
    });
    Route::get('/questions', [C\Bookings\QuestionController::class, 'index'])->name('questions.index');
    Route::put('/questions/{question}', [C\Bookings\QuestionController::class, 'update'])
        ->middleware('may:issue')
        ->name('questions.update');
    Route::put('/questions/{question}/over', [C\Outside\OverController::class, 'update'])
        ->middleware('may:purchase')
        ->name('questions.over');
    Route::get('/periods', [C\Billing\PeriodController::class, 'index'])->name('periods.index');
    Route::post('/periods', [C\Billing\PeriodController::class, 'store'])
        ->middleware('may:value')
        ->name('periods.store');
    Route::get('/standard-costs', [C\Stock\StandardController::class, 'index'])
        ->middleware('may:see-money')
        ->name('standards.index');
    Route::post('/standard-costs', [C\Stock\StandardController::class, 'store'])
        ->middleware('may:value')
        ->name('standards.store');
    Route::delete('/standard-costs/coming/{coming}', [C\Stock\ComingStandardController::class, 'destroy'])
        ->middleware('may:value')
        ->name('standards.drop');
    Route::delete('/standard-costs/{booking}', [C\Stock\StandardController::class, 'destroy'])
        ->middleware('may:value')
        ->name('standards.destroy');
    Route::delete('/bookings/{booking}/lines', [C\Bookings\BookedLineController::class, 'destroy'])
        ->middleware('may:reverse')
        ->name('bookings.lines');
    Route::post('/moves/{move}/lot', [C\Bookings\MovedLotController::class, 'store'])
        ->middleware('may:reverse')
        ->name('bookings.lot');
    Route::post('/bookings/{booking}/late-cost', [C\Bookings\LateCostController::class, 'store'])
        ->middleware('may:value')
        ->name('bookings.late-cost');
    Route::put('/order-components/{component}/parts', [C\Orders\PartsInsteadController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-components.parts');
    Route::put('/order-components/{component}/swap', [C\Orders\SwappedComponentController::class, 'update'])
        ->middleware('may:change-order')
        ->name('order-components.swap');

    Route::get('/bookings', [C\Bookings\BookingController::class, 'index'])->name('bookings.index');
    Route::get('/bookings/{booking}/effect', [C\Today\EffectController::class, 'show'])->name('effect.show');
    Route::get('/bookings/{booking}/labels.pdf', [C\Bookings\BookingLabelController::class, 'show'])
        ->name('bookings.labels');
    Route::get('/bookings/{booking}', [C\Bookings\BookingController::class, 'show'])->name('bookings.show');
    Route::delete('/bookings/{booking}', [C\Bookings\BookingController::class, 'destroy'])->name('bookings.destroy');

    Route::get('/import', [C\Import\ImportController::class, 'index'])->middleware('may:import')->name('import.index');
    Route::post('/import', [C\Import\ImportController::class, 'store'])->middleware('may:import')->name('import.store');
    Route::get('/import/{import}', [C\Import\ImportController::class, 'show'])
        ->middleware('may:import')
        ->name('import.show');
    Route::put('/import/{import}', [C\Import\ImportController::class, 'update'])
        ->middleware('may:import')
        ->name('import.update');
    Route::post('/take-out', [C\Import\TakeOutController::class, 'store'])->name('take-out.store');
});

// a page of our own, with the bar on top for who is logged in
Route::fallback(fn () => abort(404, 'What that address led to is not there, or not any more.'));
