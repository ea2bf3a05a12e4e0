<?php

/*
 * A live shop's clock, in each of its processes: it goes on as clocks do, PACE_TEST_CLOCK seconds away from the
 * machine's, so that a test finds the shop open whatever the hour it is run at.
 */

require_once dirname(__DIR__, 2).'/vendor/autoload.php';

// a plain DateTimeImmutable: a Carbon would ask for the time again
Illuminate\Support\Carbon::setTestNow(
    fn (): DateTimeImmutable => (new DateTimeImmutable())->modify(getenv('PACE_TEST_CLOCK').' seconds'),
);
