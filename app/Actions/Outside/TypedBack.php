<?php

namespace App\Actions\Outside;

use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Outside\Whose;

/** What came back from the supplier of a step, as it was typed. */
final readonly class TypedBack
{
    /**
     * @param  string  $spoiled  there
     * @param  string  $lost  there, or on the way
     * @param  string  $unworked  come back as they went
     * @param  string  $reason  why some were spoiled or lost
     * @param  Whose|null  $whose  fault that was; null = nobody said
     * @param  Onward  $onward  where the good ones went; on to somebody else they are all passed on
     * @param  array<int, string>  $used  there of components that went along, by component; else by the pieces
     */
    public function __construct(
        public string $good,
        public string $passOn = '0',
        public string $spoiled = '0',
        public string $lost = '0',
        public string $unworked = '0',
        public string $reason = '',
        public ?Whose $whose = null,
        public Onward $onward = Onward::Here,
        public array $used = [],
    ) {
    }
}
