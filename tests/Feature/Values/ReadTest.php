<?php

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Tests\Support\Shop;

/*
 * What was read is what is stored: a cast that gives back another text than it was given would have each row that is
 * only read written again.
 */

/** @return list<class-string<Model>> */
function models(): array
{
    $classes = [];
    foreach (glob(dirname(__DIR__, 3).'/app/Models/*.php') ?: [] as $file) {
        $class = 'App\\Models\\'.basename($file, '.php');
        if (is_subclass_of($class, Model::class) && ! (new ReflectionClass($class))->isAbstract()) {
            $classes[] = $class;
        }
    }

    return $classes;
}

it('leaves a model that was read as it was', function () {
    $shop = new Shop;
    $shop->cover($shop->customerOrder(['EX-9E' => '2', 'LID-9' => '3']), withParts: true);
    $order = $shop->order('TRAY-40', '6');
    $shop->release($order);
    $shop->issueAll($order);
    $shop->report($order->steps[0], '4', '3', '1');
    $read = 0;
    foreach (models() as $class) {
        $rows = (new $class)->newQuery()->limit(50)->get();
        expect($rows->filter(fn (Model $row): bool => $row->isDirty()))->toHaveCount(0, $class);
        foreach ($rows as $row) {
            foreach (array_keys($row->getAttributes()) as $attribute) {
                $row->getAttribute($attribute);
            }
            expect($row->getDirty())->toBe([], $class);
            DB::flushQueryLog();
            DB::enableQueryLog();
            $row->save();
            expect(DB::getQueryLog())->toBe([], "{$class} is written though nothing was changed");
            DB::disableQueryLog();
        }
        $read += $rows->isEmpty() ? 0 : 1;
    }
    expect($read)->toBeGreaterThan(25);
});
