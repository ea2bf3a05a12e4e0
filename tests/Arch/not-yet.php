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
        'app/Actions/Import/Folder.php readFile()' => 1,
        'app/Actions/Usage/ProposeSlip.php lines()' => 1,
        'app/Console/ScheduleFile.php handle()' => 1,
        'app/Demo/Office.php demand()' => 1,
        'app/Demo/Office.php shelf()' => 1,
        'app/Models/BookingKind.php label()' => 1,
        'app/Papers/CalendarFile.php calendar()' => 1,
        'app/Papers/CalendarFile.php event()' => 1,
        'app/Queries/Board/EffectWords.php of()' => 1,
        'app/Shop/WhyLate.php sentence()' => 1,
        'app/Queries/Today/TodayPage.php now()' => 1,
        'core/Calendar/WorkingCalendar.php windows()' => 1,
        'core/Planning/Allocation.php of()' => 1,
        'core/Scheduling/JobShop/MachineOrders.php longestPaths()' => 1,
        'core/Scheduling/JobShop/MoveEstimate.php before()' => 1,
        'core/Scheduling/JobShop/MoveEstimate.php behind()' => 1,
        'core/Scheduling/JobShop/ShopFile.php read()' => 1,
        'core/Scheduling/JobShop/TabuWalk.php choose()' => 1,
        'core/Scheduling/Loading/Loading.php onMachine()' => 1,
        'core/Scheduling/Net/NetBuilder.php add()' => 1,
        'core/Scheduling/Plan/BackwardLoading.php turned()' => 1,
        'core/Scheduling/Search/JobMove.php yield()' => 1,
        'core/Scheduling/Search/TardinessSearch.php solve()' => 1,
        'core/Scheduling/Search/Walk.php cool()' => 1,
    ],
    'deeds with six parameters or more' => [
    ],
    'logic in views' => [
    ],
];
