<?php

use Illuminate\Support\Facades\Blade;

/* Views are indented for who reads them; what is sent is not, and nothing runs together by it. */

it('takes the indentation out of what is sent, and keeps apart what stood on lines of its own', function () {
    $html = Blade::render(<<<'BLADE'
        <div>
            <input type="checkbox" @checked(true)
                @disabled(true)
                aria-label="Picked">
            @if (true)
                <b>one</b>
            @endif
            two
        </div>
        BLADE);
    expect($html)->toContain('checked disabled aria-label="Picked">')
        ->and(preg_match('#</b>\s+two#', $html))->toBe(1)
        ->and($html)->not->toContain('    ');
});
