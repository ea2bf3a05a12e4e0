<?php

declare(strict_types=1);

namespace KeepPace\Core\Naming;

use KeepPace\Core\Refused;

/** How new items of a kind are numbered: "BRK-####" counts BRK-0001, BRK-0002 and on. */
final readonly class NumberRule
{
    private function __construct(private string $before, private int $digits, private string $behind)
    {
    }

    /**
     * @param  string  $typed  with one run of one to nine #, where the number comes
     *
     * @throws Refused when it is no such rule
     */
    public static function of(string $typed): self
    {
        if (preg_match('/^([^#]*)(#{1,9})([^#]*)$/uD', Code::of($typed, 'number_rule')->typed, $part) !== 1) {
            throw Refused::because(
                "'{$typed}' is no rule such as BRK-####: one run of # stands for the running number.",
                'number_rule',
            );
        }

        return new self($part[1], strlen($part[2]), $part[3]);
    }

    /** What all numbers by it begin with, as they are known by. */
    public function begins(): string
    {
        return Code::keyOf($this->before);
    }

    /**
     * The number after the highest there is.
     *
     * @param  iterable<string>  $taken  numbers there are, of whatever rule
     *
     * @throws Refused when all are taken
     */
    public function next(iterable $taken): string
    {
        $pattern = '/^'.preg_quote(Code::keyOf($this->before), '/')."(\\d{{$this->digits}})"
            .preg_quote(Code::keyOf($this->behind), '/').'$/uD';
        $highest = 0;
        foreach ($taken as $number) {
            if (preg_match($pattern, Code::keyOf($number), $part) === 1) {
                $highest = max($highest, (int) $part[1]);
            }
        }
        $next = (string) ($highest + 1);
        if (strlen($next) > $this->digits) {
            throw Refused::because(
                "All numbers of {$this->before}".str_repeat('#', $this->digits).$this->behind
                    .' are taken. Give the rule another digit, or type a number.',
                'number',
            );
        }

        return $this->before.str_pad($next, $this->digits, '0', STR_PAD_LEFT).$this->behind;
    }
}
