<?php

use App\Access\Role;
use App\Actions\Import\BeginImport;
use App\Actions\Import\ImportFolder;
use App\Jobs\RunImport;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* An import on the queue: what its row says while it runs, when it is through, refused or broken; each line once. */

/** @return stdClass the row of an import that ran over these files */
function imported(object $test, array $files, bool $isTrial = false): stdClass
{
    return $test->shop->inFolder($files, function (string $folder) use ($test, $isTrial): stdClass {
        $id = DB::table('imports')->insertGetId([
            'person_id' => $test->shop->as(Role::Planner)->id,
            'folder' => $folder,
            'files' => 'items.csv',
            'is_trial' => $isTrial,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        (new RunImport($id))->handle(app(ImportFolder::class));

        return DB::table('imports')->find($id);
    });
}

const TWO_ITEMS = ['items.csv' => "number,name,kind,unit\nNEW-1,New one,bought,pc\nNEW-2,Other one,bought,pc\n"];

it('says what is new and what was changed, field by field', function () {
    $row = imported($this, TWO_ITEMS);
    expect($row->state)->toBe('done')
        ->and($row->doing)->toContain('2 new')
        ->and((int) $row->lines_total)->toBe(3)
        ->and(DB::table('items')->whereIn('number', ['NEW-1', 'NEW-2'])->count())->toBe(2);
    // what a trial would change is told field by field
    $newer = ['items.csv' => "number,name,kind,unit\nNEW-1,Newer one,bought,pc\n"];
    $trial = imported($this, $newer, isTrial: true);
    expect($trial->state)->toBe('done')
        ->and((int) $trial->change_count)->toBe(1)
        ->and((string) $trial->changes)->toContain('New one')->toContain('Newer one')
        ->and(DB::table('items')->where('number', 'NEW-1')->value('name'))->toBe('New one');
    expect(imported($this, $newer)->doing)->toContain('1 changed')
        ->and(DB::table('items')->where('number', 'NEW-1')->value('name'))->toBe('Newer one')
        ->and(imported($this, $newer)->doing)->toContain('1 as before');
});

it('writes nothing where it is only tried, and does it then from the same files', function () {
    $this->shop->inFolder(TWO_ITEMS, function (string $folder): void {
        $id = DB::table('imports')->insertGetId([
            'person_id' => $this->shop->as(Role::Planner)->id,
            'folder' => $folder,
            'files' => 'items.csv',
            'is_trial' => true,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        $job = new RunImport($id);
        $job->handle(app(ImportFolder::class));
        $row = fn (): stdClass => DB::table('imports')->find($id);
        expect($row()->state)->toBe('done')
            ->and(DB::table('items')->whereIn('number', ['NEW-1', 'NEW-2'])->count())->toBe(0);
        app(BeginImport::class)->tried($id);
        expect($row()->state)->toBe('waiting');
        $job->handle(app(ImportFolder::class));
        expect($row()->state)->toBe('done')
            ->and(DB::table('items')->whereIn('number', ['NEW-1', 'NEW-2'])->count())->toBe(2);
        // done is done
        expect(fn () => app(BeginImport::class)->tried($id))->toThrow(Refused::class, 'Only what was tried');
    });
});

it('names each line and column that is wrong, and writes nothing', function () {
    $row = imported($this, [
        'items.csv' => "number,name,kind,unit\nNEW-1,,bought,pc\nNEW-2,Other,sold,pc\nNEW-3,Third,bought,furlong\n",
    ]);
    $problems = json_decode((string) $row->problems, true);
    expect($row->state)->toBe('refused')
        ->and((int) $row->problem_count)->toBe(count($problems))
        ->and(array_map(fn (array $one): string => "{$one['line']} {$one['column']}", $problems))
        ->toBe(['2 name', '3 kind', '4 unit'])
        ->and(DB::table('items')->where('number', 'like', 'NEW-%')->count())->toBe(0);
    expect(fn () => app(BeginImport::class)->tried($row->id))->toThrow(Refused::class);
});

it('says in a sentence why nothing of it was imported where no line is at fault', function () {
    // the files are gone before it gets to them
    $id = DB::table('imports')->insertGetId([
        'person_id' => $this->shop->as(Role::Planner)->id,
        'folder' => sys_get_temp_dir().'/no-such-folder',
        'files' => 'items.csv',
        'created_at' => now(),
        'updated_at' => now(),
    ]);
    (new RunImport($id))->handle(app(ImportFolder::class));
    $row = DB::table('imports')->find($id);
    expect($row->state)->toBe('refused')->and((int) $row->problem_count)->toBeGreaterThan(0);
});

it('says that it broke off, and is not there for a row that is gone', function () {
    $id = DB::table('imports')->insertGetId([
        'person_id' => $this->shop->as(Role::Planner)->id,
        'folder' => '/nowhere',
        'files' => 'items.csv',
        'created_at' => now(),
        'updated_at' => now(),
    ]);
    (new RunImport($id))->failed(new RuntimeException('no memory'));
    $row = DB::table('imports')->find($id);
    expect($row->state)->toBe('failed')->and($row->doing)->toContain('nothing of it was written');
    $count = DB::table('imports')->count();
    (new RunImport(999_999))->handle(app(ImportFolder::class));
    expect(DB::table('imports')->count())->toBe($count);
});

it('shows on its page how it went', function () {
    $row = imported($this, ['items.csv' => "number,name,kind,unit\nNEW-1,,bought,pc\n"]);
    $this->actingAs($this->shop->as(Role::Planner))->get("/import/{$row->id}")->assertOk()
        ->assertSee('items.csv')->assertSee('name');
    $this->get('/import/999999')->assertNotFound();
    $this->actingAs($this->shop->as(Role::Operator))->get("/import/{$row->id}")->assertForbidden();
});
