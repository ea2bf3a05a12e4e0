<?php

namespace App\Actions\Import;

use KeepPace\Core\Naming\Code;

/**
 * Structures as an indented list: each line says how deep it stands, and belongs to the last one before it that stands
 * one level higher. It is unfolded into the lines of structures; what is used twice is told twice, and alike.
 */
final class IndentedList
{
    public const FILE = 'structure-list';

    /** Lines of it among those of structures.csv, so that a problem is told in the file it is in. */
    public const FROM = 1_000_000;

    private const DEEPEST = 60;

    /** Columns a line has in common with one of structures.csv. */
    private const SAME = [
        'quantity', 'unit', 'basis', 'scrap_percent', 'step', 'designators', 'issue_by', 'supplied_by',
        'comes_back', 'share_rule', 'share',
    ];

    /** @var array<int, int> line that is open, by level */
    private array $open = [];

    /** @var array<int, list<int>> lines below a line */
    private array $below = [];

    /** @param  array<int, array<string, ?string>>  $rows  by line */
    private function __construct(private readonly Folder $folder, private readonly array $rows)
    {
    }

    public static function unfold(Folder $folder): void
    {
        $rows = $folder->rowsOf(self::FILE);
        if ($rows === []) {
            return;
        }
        if (isset($folder->rows['structures'])) {
            $folder->problem(self::FILE, 0, '', 'structures.csv tells the same. Send one of the two.');

            return;
        }
        $list = new self($folder, $rows);
        $list->read();
        $folder->rows['structures'] = $list->lines();
        $folder->absent['structures'] = array_values(array_intersect($folder->absent[self::FILE] ?? [], self::SAME));
    }

    /** What stands below what. */
    private function read(): void
    {
        foreach ($this->rows as $line => $row) {
            $level = (int) $row['level'];
            if ($level > self::DEEPEST || ($level > 0 && ! isset($this->open[$level - 1]))) {
                $this->folder->problem(
                    self::FILE,
                    $line,
                    'level',
                    $level > self::DEEPEST ? 'is deeper than can be meant.' : 'goes deeper by more than one level.',
                );

                continue;
            }
            $this->open = [...array_slice($this->open, 0, $level), $line];
            if ($level > 0) {
                $this->below[$this->open[$level - 1]][] = $line;
            }
        }
    }

    /** @return array<int, array<string, ?string>> of structures.csv */
    private function lines(): array
    {
        $lines = $told = [];
        foreach ($this->below as $parent => $children) {
            $item = (string) $this->rows[$parent]['item'];
            $says = array_map($this->says(...), $children);
            $first = $told[Code::keyOf($item)] ??= [$parent, $says];
            if ($first[0] !== $parent) {
                $first[1] === $says ?: $this->folder->problem(
                    self::FILE,
                    $parent,
                    'item',
                    "{$item} is made of something else in line {$first[0]}.",
                );

                continue;
            }
            foreach ($children as $place => $child) {
                $lines[self::FROM + $child] = $this->line($this->rows[$parent], $this->rows[$child], $place);
            }
        }
        ksort($lines);

        return $lines;
    }

    /**
     * @param  array<string, ?string>  $parent
     * @param  array<string, ?string>  $child
     * @return array<string, ?string>
     */
    private function line(array $parent, array $child, int $place): array
    {
        return [
            'item' => $parent['item'],
            'revision' => $parent['revision'],
            'status' => $parent['status'],
            'effective_from' => $parent['effective_from'],
            'position' => (string) (($place + 1) * 10),
            'component' => $child['item'],
            ...array_intersect_key($child, array_flip(self::SAME)),
        ];
    }

    /** A line, to be compared. */
    private function says(int $line): string
    {
        $row = $this->rows[$line];

        return implode('|', [Code::keyOf((string) $row['item']), ...array_map(
            fn (string $column): string => (string) $row[$column],
            self::SAME,
        )]);
    }
}
