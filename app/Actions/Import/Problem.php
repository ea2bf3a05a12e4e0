<?php

namespace App\Actions\Import;

/** One thing wrong in an import file, where it stands and what would be right. */
final readonly class Problem implements \JsonSerializable
{
    public function __construct(public string $file, public int $line, public string $column, public string $says)
    {
    }

    /** @return array{file: string, line: int, column: string, says: string} */
    public function jsonSerialize(): array
    {
        return ['file' => $this->file, 'line' => $this->line, 'column' => $this->column, 'says' => $this->says];
    }

    public function __toString(): string
    {
        return $this->file.($this->line > 0 ? " line {$this->line}" : '').($this->column !== '' ? ", {$this->column}"
            : '').": {$this->says}";
    }
}
