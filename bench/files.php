<?php

/*
 * Product data of a shop of 20,000 items: out as files, and in again with nothing changed.
 *   bench/run files
 * Out is to take at most 20 s, in with nothing changed 60 s.
 */

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Demo\People;
use App\Models\Person;
use App\Papers\ProductFiles;
use Illuminate\Support\Facades\Artisan;

(require __DIR__.'/application.php')('keep_pace_files');
Artisan::call('migrate:fresh', ['--force' => true]);
People::make();
Artisan::call('pace:import', ['folder' => 'demo']);
config(['pace.planner' => 'beside']);

const ITEMS = 20_000;
$folder = sys_get_temp_dir().'/keep-pace-files-'.bin2hex(random_bytes(4));
mkdir($folder);
$items = "number,name,kind,unit,cost,category,usual_lot\n";
$structures = "item,revision,position,component,quantity,step\n";
$routings = "item,revision,step,name,work_centre,setup_minutes,run_rate\n";
for ($i = 0; $i < ITEMS; $i++) {
    $isMade = $i % 2 === 0 && $i < ITEMS - 40;
    $items .= "N-{$i},Thing {$i},".($isMade ? 'made' : 'bought').',pc,'.($i % 90 + 1).'.50,group '.($i % 12).",10\n";
    for ($k = 1; $isMade && $k <= 3; $k++) {
        // every tenth made one below it, twelve levels deep; the others are bought
        $isPart = $k === 3 && intdiv($i, 10) % 12 !== 11;
        $structures .= "N-{$i},A,{$k}0,N-".($i + ($isPart ? 10 : $k * 2 + 1)).",{$k},10\n";
    }
    $routings .= $isMade ? "N-{$i},A,10,Cut,SAW,10,2.5\nN-{$i},A,20,Fit,ASM,5,4\n" : '';
}
file_put_contents("{$folder}/items.csv", $items);
file_put_contents("{$folder}/structures.csv", $structures);
file_put_contents("{$folder}/routings.csv", $routings);
$by = Person::inRole(Role::Planner);
$took = function (string $what, callable $do): mixed {
    $from = hrtime(true);
    $result = $do();
    printf("%-28s %6.1f s\n", $what, (hrtime(true) - $from) / 1e9);

    return $result;
};
$took('in, all of it new', fn () => app(ImportFolder::class)->handle($folder, $by));
$files = $took('out', fn (): ProductFiles => ProductFiles::make(['items', 'structures', 'routings'], 'csv', true));
$zip = new ZipArchive;
$zip->open($files->path);
$zip->extractTo($folder);
$zip->close();
$files->forget();
$result = $took('in again, nothing changed', fn () => app(ImportFolder::class)->handle($folder, $by));
echo $result->sentence().' Memory at most '.round(memory_get_peak_usage() / 1e6)." MB\n";
array_map(unlink(...), glob("{$folder}/*") ?: []);
rmdir($folder);
