<?php

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'people'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'people']],
    'providers' => ['people' => ['driver' => 'eloquent', 'model' => App\Models\Person::class]],
    'passwords' => [],
    'password_timeout' => 10800,
];
