<?php

/* The application's router under a live shop's clock. */

require __DIR__.'/clock.php';

return require dirname(__DIR__, 2).'/bin/router.php';
