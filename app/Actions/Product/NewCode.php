<?php

namespace App\Actions\Product;

use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** A number or code somebody gives to a new record, as it is kept. */
final readonly class NewCode
{
    private function __construct(public string $typed, private string $field)
    {
    }

    /**
     * @param  string  $field  beside which it is said what is wrong
     *
     * @throws Refused
     */
    public static function of(string $typed, string $field): self
    {
        $wrong = Code::wrong($typed);
        if ($wrong !== null) {
            throw Refused::because($wrong, $field);
        }

        return new self(Code::of($typed)->typed, $field);
    }

    public function key(): string
    {
        return Code::keyOf($this->typed);
    }

    /**
     * @param  string|null  $known  what has it already; null = nothing
     *
     * @throws Refused
     */
    public function assertFree(?string $known): void
    {
        if ($known !== null) {
            throw Refused::because(
                "That is {$known} already. Give the new one a {$this->field} of its own.",
                $this->field,
            );
        }
    }

    /**
     * Enters it, unless another does in this very moment.
     *
     * @template T
     *
     * @param  Closure(): T  $create
     * @return T
     *
     * @throws Refused
     */
    public function enter(Closure $create): mixed
    {
        try {
            return $create();
        } catch (UniqueConstraintViolationException) {
            throw Refused::because(
                "Somebody enters {$this->typed} in this very moment. Look at that one first.",
                $this->field,
            );
        }
    }
}
