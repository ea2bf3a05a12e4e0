<?php

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Actions\Import\StoredRows;
use App\Models\Booking;
use App\Papers\ProductFiles;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/* Product data out as files, in again, and nothing is changed. */

/** @return array<string, string> content by file, of all that is taken out */
function takenOut(string $format, bool $withMoney = true): array
{
    $files = ProductFiles::make(StoredRows::FILES, $format, $withMoney);
    $content = [];
    $zip = new ZipArchive;
    $zip->open($files->path);
    foreach (array_keys($files->rows) as $name) {
        $content[$name] = (string) $zip->getFromName($name);
    }
    $zip->close();
    $files->forget();

    return $content;
}

/** @return array<string, string> */
function productTables(): array
{
    $tables = ['units', 'items', 'item_units', 'structures', 'structure_lines', 'routings', 'routing_steps',
        'routing_step_ways', 'work_centres', 'shifts', 'calendar_days', 'customers', 'suppliers', 'places', 'people'];

    return array_map(
        fn (string $table): string => md5((string) json_encode(DB::table($table)->orderBy('id')->get())),
        array_combine($tables, $tables),
    );
}

it('goes out and in again, and nothing is changed', function (string $format) {
    $before = productTables();
    $result = $this->shop->inFolder(
        takenOut($format),
        fn (string $path) => app(ImportFolder::class)->handle($path, $this->shop->as(Role::Planner)),
    );
    expect($result->sentence())->toStartWith('0 new, 0 changed')->and(productTables())->toBe($before);
})->with(['csv', 'json']);

it('leaves what a file has no column for as it is: out without money, in again, no price is blanked', function () {
    $files = takenOut('csv', withMoney: false);
    expect($files['items.csv'])->not->toContain('cost,')->and($files['work-centres.csv'])->not->toContain('labour_rate')
        ->and($files['routings.csv'])->not->toContain('price');
    $before = productTables();
    $this->shop->inFolder(
        $files,
        fn (string $path) => app(ImportFolder::class)->handle($path, $this->shop->as(Role::Planner)),
    );
    expect(productTables())->toBe($before);
    $this->shop->import(['items.csv' => "number,name,kind,unit\nSS-15,Sheet of another name,bought,m2\n"]);
    $item = $this->shop->item('SS-15');
    expect($item->name)->toBe('Sheet of another name')->and((string) $item->cost)->toBe('46.500000')
        ->and($item->tracking->value)->toBe('lot');
});

it('shows what files would change before they are imported, line by line, and writes nothing', function () {
    $before = productTables();
    $bookings = Booking::query()->count();
    $csv = "number,name,kind,unit,lead_time_days\nBRG-25,Bearing 25 mm,bought,pc,11\nBRG-99,New bearing,bought,pc,3\n";
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/import', ['try' => '1', 'files' => [UploadedFile::fake()->createWithContent('items.csv', $csv)]])
        ->assertRedirect();
    $import = (int) DB::table('imports')->max('id');
    $this->get("/import/{$import}")
        ->assertSee('Tried, nothing is written.')
        ->assertSee('1 new, 1 changed')
        ->assertSeeInOrder(['BRG-25', 'lead time days', '4', '11'])
        ->assertSeeInOrder(['It would add', 'BRG-99']);
    expect(productTables())->toBe($before)->and(Booking::query()->count())->toBe($bookings);
    $this->put("/import/{$import}", ['token' => 'now'])->assertRedirect("/import/{$import}");
    expect($this->shop->item('BRG-25')->lead_time_days)->toBe(11)
        ->and($this->shop->item('BRG-99')->name)->toBe('New bearing');
    $this->from('/import')->put("/import/{$import}", ['token' => 'again'])->assertSessionHasErrors();
});

it('tells who has an item open that a file changed it meanwhile', function () {
    $item = $this->shop->item('BRG-25');
    $this->shop->import(['items.csv' => "number,name,kind,unit,lead_time_days\nBRG-25,Bearing 25 mm,bought,pc,11\n"]);
    $this->actingAs($this->shop->as(Role::Planner))
        ->from("/items/{$item->id}/change")
        ->post("/items/{$item->id}/retired", ['token' => 'r', 'version' => $item->version])
        ->assertSessionHasErrors();
    expect(session('errors')->first())->toContain('BRG-25 was changed meanwhile');
});

it('sends one file alone, several packed, without money for who may not see it, and keeps who took them', function () {
    $item = $this->shop->item('EX-9H');
    $take = fn (Role $role, array $what) => $this->actingAs($this->shop->as($role))
        ->post('/take-out', ['token' => bin2hex(random_bytes(6)), 'format' => 'csv', ...$what]);
    $file = $take(Role::Planner, ['kinds' => ['items'], 'item' => $item->id])->assertOk()->assertDownload('items.csv');
    $text = (string) file_get_contents($file->baseResponse->getFile()->getPathname());
    expect($text)->toContain('EX-9H')->toContain('1090')->not->toContain('BRG-25');
    $file = $take(Role::Operator, ['kinds' => ['items'], 'item' => $item->id])->assertOk();
    $text = (string) file_get_contents($file->baseResponse->getFile()->getPathname());
    expect($text)->toContain('EX-9H')->not->toContain('1090');
    $take(Role::Planner, ['kinds' => ['items', 'structures']])->assertDownload('product-data.zip');
    $items = DB::table('items')->count();
    $lines = DB::table('structure_lines')->count();
    expect(Booking::query()->where('kind', 'taken_out')->orderBy('id')->pluck('says')->all())->toBe([
        'Taken out as files: items.csv (1) of EX-9H Extractor 9 frames hand-cranked.',
        'Taken out as files: items.csv (1) of EX-9H Extractor 9 frames hand-cranked.',
        "Taken out as files: items.csv ({$items}), structures.csv ({$lines}).",
    ]);
    $this->from('/import')->post('/take-out', ['token' => 'x', 'format' => 'csv'])->assertSessionHasErrors('kinds');
});

it('says what is wrong with a file of JSON', function (string $json, string $says) {
    expect(implode("\n", $this->shop->import(['items.json' => $json])))->toContain($says);
})->with([
    'no JSON' => ['[{', 'items.json: is not JSON'],
    'no list' => ['{"number": "A"}', 'is not a list of rows'],
    'a row that is none' => ['["A"]', 'is not a row of texts and numbers'],
    'a float' => ['[{"number": "A", "cost": 1.1}]', 'is not a row of texts'],
    'a column it has not' => ['[{"number": "A", "nome": "A"}]', 'nome: no such column'],
    'other columns' => [
        '[{"number":"A-1","name":"A","kind":"bought","unit":"pc"},{"number":"A-2","name":"A","kind":"bought"}]',
        'has other columns than the first row',
    ],
    'a value that is wrong' => [
        '[{"number": "A", "name": "A", "kind": "sold", "unit": "pc"}]',
        "'sold' must be one of",
    ],
]);
