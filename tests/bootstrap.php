<?php

require dirname(__DIR__).'/vendor/autoload.php';

Tests\Support\Instance::begin();
