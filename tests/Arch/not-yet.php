<?php

/* How often a file does not keep a rule of tests/Arch/HouseTest.php yet: php tests/Arch/shrink.php */
return [
    'lines over 120 columns' => [
    ],
    'rows that are stdClass' => [
    ],
    'floats beside quantities and money' => [
    ],
    'words for what is an enum' => [
    ],
    'long methods' => [
        'core/Scheduling/JobShop/MoveEstimate.php before()' => 1,
        'core/Scheduling/JobShop/MoveEstimate.php behind()' => 1,
        'core/Scheduling/Loading/Placing.php onMachine()' => 1,
        'core/Scheduling/Walk/Walk.php cool()' => 1,
    ],
    'deeds with six parameters or more' => [
    ],
    'logic in views' => [
    ],
];
