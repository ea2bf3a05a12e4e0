<?php

use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

it('is kept as typed and known by a folded key', function (string $typed, string $kept, string $key) {
    expect(Code::of($typed)->typed)
        ->toBe($kept)
        ->and(Code::of($typed)->key())
        ->toBe($key)
        ->and(Code::keyOf($typed))
        ->toBe($key);
})->with([
    'capitals do not tell two codes apart: common practice' => ['ZZ1', 'ZZ1', 'zz1'],
    'trimmed' => ["  H-7714\t", 'H-7714', 'h-7714'],
    'a space inside stays' => ['LOT 4', 'LOT 4', 'lot 4'],
    'Unicode Standard Annex 15: e and a combining acute compose to '
        .'é' => ["caf\u{65}\u{301}", "caf\u{E9}", "caf\u{E9}"],
    'Unicode simple case mapping: Ä to ä' => ['Ä-Ω-Ж', 'Ä-Ω-Ж', 'ä-ω-ж'],
    'an accent tells two codes apart' => ['É1', 'É1', 'é1'],
    'signs of measure' => ['m²', 'm²', 'm²'],
]);

it('refuses what no label carries, naming it', function (string $typed, string $says) {
    expect(fn () => Code::of($typed, 'lot'))->toThrow(Refused::class, $says);
})->with([
    'emoji' => ['ZZ😀', '(😀)'],
    'a zero-width space' => ["ZZ\u{200B}1", 'no label carries.'],
    'a control character' => ["ZZ\x071", 'no label carries.'],
    'a lone combining mark' => ["1\u{301}", 'no label carries'],
    'full-width figures, which look like figures' => ['１２', '(１)'],
    'bytes that are no text' => ["\xC3\x28", 'not readable text'],
]);
