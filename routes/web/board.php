<?php

use App\Http\Controllers\Board;
use Illuminate\Support\Facades\Route;

Route::get('/board', [Board\BoardController::class, 'index'])->name('board');
Route::get('/board/data', [Board\BoardDataController::class, 'show'])->name('board.data');
Route::get('/board/news', [Board\BoardNewsController::class, 'show'])->name('board.news');
Route::get('/board/preview', [Board\MovePreviewController::class, 'show'])->name('board.preview');
Route::get('/board/plan.pdf', [Board\BoardPaperController::class, 'show'])->name('board.paper');
Route::get('/board/threads/{order}', [Board\BoardThreadController::class, 'show'])->name('board.threads');
Route::get('/late', [Board\LateController::class, 'index'])->name('late.index');
Route::get('/late/{order}', [Board\LateController::class, 'show'])->name('late.show');
Route::get('/late/{order}/levers', [Board\LeverController::class, 'index'])->name('late.levers');
Route::get('/late/{order}/cures', [Board\CureController::class, 'index'])->name('late.cures');
Route::get('/plans', [Board\PlanController::class, 'index'])->name('plans.index');
Route::get('/searches/{search}', [Board\SearchController::class, 'show'])->name('plans.watch');
Route::get('/plans/{plan}', [Board\PlanController::class, 'show'])->name('plans.show');
Route::get('/absence', [Board\AbsenceController::class, 'index'])->name('absence.index');
Route::get('/dispatch', [Board\DispatchController::class, 'index'])->name('dispatch.index');
Route::get('/dispatch/{centre}', [Board\DispatchController::class, 'show'])->name('dispatch.show');
Route::get('/dispatch/{centre}/list.pdf', [Board\DispatchPaperController::class, 'show'])->name('dispatch.pdf');
Route::get('/dispatch/{centre}/list.csv', [Board\DispatchTableController::class, 'show'])->name('dispatch.csv');
Route::get('/calendars', [Board\CalendarController::class, 'index'])->name('calendars.index');
Route::get('/calendars/{calendar}', [Board\CalendarController::class, 'show'])->name('calendars.show');
Route::get('/calendars/{calendar}/calendar.ics', [Board\CalendarFileController::class, 'show'])->name('calendars.file');

Route::middleware('may:plan')->group(function (): void {
    Route::post('/board/steps/{step}', [Board\PlannedStepController::class, 'store'])->name('board.move');
    Route::delete('/board/steps/{step}/pin', [Board\PlannedStepController::class, 'destroy'])->name('board.unpin');
    Route::post('/board/undo', [Board\PlanUndoController::class, 'store'])->name('board.undo');
    Route::post('/board/redo', [Board\PlanRedoController::class, 'store'])->name('board.redo');
    Route::post('/board/by-rank', [Board\PlanByRankController::class, 'store'])->name('board.by-rank');
    Route::post('/late/{order}', [Board\LateController::class, 'store'])->name('late.try');
    Route::post('/plans', [Board\PlanController::class, 'store'])->name('plans.store');
    Route::post('/plans/search', [Board\SearchController::class, 'store'])->name('plans.search');
    Route::post('/searches/{search}/stop', [Board\StoppedSearchController::class, 'store'])->name('plans.stop');
    Route::post('/plans/{plan}/again', [Board\PlanAgainController::class, 'store'])->name('plans.again');
    Route::post('/plans/{plan}/live', [Board\LivePlanController::class, 'store'])->name('plans.live');
    Route::delete('/plans/{plan}', [Board\PlanController::class, 'destroy'])->name('plans.destroy');
    Route::post('/calendars', [Board\CalendarController::class, 'store'])->name('calendars.store');
    Route::put('/calendars/{calendar}', [Board\CalendarController::class, 'update'])->name('calendars.update');
});

Route::middleware('may:say-absent')->group(function (): void {
    Route::post('/absence/machine', [Board\MachineDownController::class, 'store'])->name('absence.machine');
    Route::post('/absence/person', [Board\PersonAwayController::class, 'store'])->name('absence.person');
    Route::post('/absence/{what}/{id}/back', [Board\BackAgainController::class, 'store'])
        ->whereIn('what', ['machine', 'person'])
        ->name('absence.back');
});
