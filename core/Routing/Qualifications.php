<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

use KeepPace\Core\Naming\Code;

/** What a person is qualified for, as files and forms write it: "TIG welding|crane". Capitals make no difference. */
final readonly class Qualifications
{
    /** @param  array<string, string>  $known  as they were typed, by key */
    private function __construct(private array $known)
    {
    }

    /** @param  string  $written  parted by a bar, a comma or a semicolon */
    public static function read(string $written): self
    {
        $known = [];
        foreach (preg_split('/[|,;]/', $written) ?: [] as $one) {
            $key = Code::keyOf($one);
            if ($key !== '') {
                $known[$key] ??= trim($one);
            }
        }

        return new self($known);
    }

    public function written(): string
    {
        return implode('|', $this->known);
    }

    /** @return list<string> by which they are told from one another */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->known));
    }

    public function include(string $qualification): bool
    {
        return isset($this->known[Code::keyOf($qualification)]);
    }
}
