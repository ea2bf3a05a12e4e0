<?php

/* Takes out of not-yet.php what has been mended; it never adds. */

use Illuminate\Contracts\Console\Kernel;
use Tests\Support\House;

require __DIR__.'/../../vendor/autoload.php';

$application = require __DIR__.'/../../bootstrap/app.php';
$application->make(Kernel::class)->bootstrap();

$measured = (new House)->measured();
$says = '/* How often a file does not keep a rule of tests/Arch/HouseTest.php yet: php tests/Arch/shrink.php */';
$lines = ["<?php\n", $says, 'return ['];
$total = [];
foreach (House::notYet() as $rule => $files) {
    $lines[] = '    '.var_export($rule, true).' => [';
    foreach ($files as $file => $allowed) {
        $count = min($allowed, $measured[$rule][$file] ?? 0);
        $total[$rule] = ($total[$rule] ?? 0) + $count;
        $count === 0 ?: $lines[] = '        '.var_export($file, true)." => {$count},";
    }
    $lines[] = '    ],';
}
file_put_contents(House::LIST, implode("\n", [...$lines, '];', '']));
foreach ($total as $rule => $count) {
    printf("%5d %s\n", $count, $rule);
}
