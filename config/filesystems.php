<?php

return [
    'default' => 'local',
    // nothing under storage is served: imports are read by the queue worker alone
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true]],
];
