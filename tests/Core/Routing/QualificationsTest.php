<?php

use KeepPace\Core\Routing\Qualifications;

it('reads what people type, each once, and knows it by any capitals', function () {
    $can = Qualifications::read(' TIG welding, crane | tig WELDING ||');
    expect($can->written())->toBe('TIG welding|crane')
        ->and($can->keys())->toBe(['tig welding', 'crane'])
        ->and($can->include('Crane'))->toBeTrue()
        ->and($can->include('weld'))->toBeFalse();
});

it('reads nothing as nothing', function () {
    expect(Qualifications::read('')->written())->toBe('')->and(Qualifications::read(',')->keys())->toBe([]);
});

it('keeps figures as text', function () {
    expect(Qualifications::read('141|135')->keys())->toBe(['141', '135']); // numbers of welding processes: ISO 4063
});
