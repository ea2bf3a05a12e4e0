<?php

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Tests\Support\Shop;

/*
 * What was read is what is stored: a cast that gives back another text than it was given would have each row that is
 * only read written again.
 */

it('leaves a model that was read as it was', function (string $class) {
    $shop = new Shop;
    $shop->cover($shop->customerOrder(['EX-9E' => '2', 'LID-9' => '3']), withParts: true);
    $order = $shop->order('TRAY-40', '6');
    $shop->release($order);
    $shop->issueAll($order);
    $shop->report($order->steps[0], '4', '3', '1');
    /** @var Model $model */
    $model = new $class;
    $rows = $model->newQuery()->limit(50)->get();
    expect($rows->filter(fn (Model $row): bool => $row->isDirty()))->toHaveCount(0);
    foreach ($rows as $row) {
        $attributes = array_keys($row->getAttributes());
        foreach ($attributes as $attribute) {
            $row->getAttribute($attribute);
        }
        expect($row->getDirty())->toBe([], $class);
        DB::flushQueryLog();
        DB::enableQueryLog();
        $row->save();
        expect(DB::getQueryLog())->toBe([], "{$class} is written though nothing was changed");
        DB::disableQueryLog();
    }
})->with(function (): array {
    $classes = [];
    foreach (glob(dirname(__DIR__, 3).'/app/Models/*.php') ?: [] as $file) {
        $class = 'App\\Models\\'.basename($file, '.php');
        if (is_subclass_of($class, Model::class)) {
            $classes[basename($file, '.php')] = [$class];
        }
    }

    return $classes;
});
