<?php

use App\Http\Controllers\Product;
use App\Models\Attachable;
use Illuminate\Support\Facades\Route;

Route::get('/items', [Product\ItemController::class, 'index'])->name('items.index');
Route::get('/items/choose', [Product\ItemChoiceController::class, 'index'])->name('items.choose');
Route::get('/items/{item}', [Product\ItemController::class, 'show'])->name('items.show');
Route::get('/work-centres', [Product\WorkCentreController::class, 'index'])->name('centres.index');
Route::get('/work-centres/{centre}', [Product\WorkCentreController::class, 'show'])->name('centres.show');
Route::get('/drafts', [Product\DraftController::class, 'index'])->name('drafts.index');
Route::get('/structures/{structure}/costs.pdf', [Product\StructurePaperController::class, 'show'])
    ->name('structures.paper');
Route::get('/files/{attachment}', [Product\FileController::class, 'show'])->name('files.show');
Route::delete('/files/{attachment}', [Product\FileController::class, 'destroy'])->name('files.destroy');
Route::get('/changes', [Product\ChangeController::class, 'index'])->name('changes.index');
Route::get('/units', [Product\UnitController::class, 'index'])->name('units.index');
Route::get('/crews', [Product\CrewController::class, 'index'])->name('crews.index');

Route::middleware('may:change-items')->group(function (): void {
    Route::get('/items/new', [Product\ItemController::class, 'create'])->name('items.create');
    Route::post('/items', [Product\ItemController::class, 'store'])->name('items.store');
    Route::get('/items/{item}/change', [Product\ItemController::class, 'edit'])->name('items.edit');
    Route::put('/items/{item}', [Product\ItemController::class, 'update'])->name('items.update');
    Route::post('/items/{item}/retired', [Product\RetiredItemController::class, 'store'])->name('retired-items.store');
    Route::delete('/items/{item}/retired', [Product\RetiredItemController::class, 'destroy'])
        ->name('retired-items.destroy');
});

Route::middleware('may:draw-up')->group(function (): void {
    Route::post('/items/{item}/replaced', [Product\ReplacedItemController::class, 'store'])
        ->name('replaced-items.store');
    Route::post('/work-centres', [Product\WorkCentreController::class, 'store'])->name('centres.store');
    Route::put('/work-centres/{centre}', [Product\WorkCentreController::class, 'update'])->name('centres.update');
});

Route::middleware('may:set-up')->group(function (): void {
    Route::put('/units', [Product\UnitController::class, 'update'])->name('units.update');
    Route::put('/crews', [Product\CrewController::class, 'update'])->name('crews.update');
});

$revised = [
    'structure' => Product\StructureController::class,
    'routing' => Product\RoutingController::class,
];
foreach ($revised as $what => $of) {
    Route::get("/{$what}s/{{$what}}", [$of, 'show'])->name("{$what}s.show");
    Route::middleware('may:draw-up')->group(function () use ($what, $of): void {
        Route::post("/items/{item}/{$what}s", [$of, 'store'])->name("{$what}s.store");
        Route::put("/{$what}s/{{$what}}", [$of, 'update'])->name("{$what}s.update");
        Route::delete("/{$what}s/{{$what}}", [$of, 'destroy'])->name("{$what}s.destroy");
    });
    Route::post("/{$what}s/{{$what}}/approval", [Product\ApprovalController::class, 'store'])
        ->defaults('kind', "{$what}s")
        ->middleware('may:approve')
        ->name("{$what}s.approval");
}

foreach (Attachable::cases() as $on) {
    Route::post("/{$on->address()}/{id}/files", [Product\FileController::class, 'store'])
        ->middleware("may:{$on->right()->value}")
        ->name("{$on->value}.files")
        ->defaults('on', $on->value);
}
