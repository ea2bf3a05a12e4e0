<?php

use Tests\FeatureTestCase;

pest()->extend(FeatureTestCase::class)->in('Feature', 'Walk');
