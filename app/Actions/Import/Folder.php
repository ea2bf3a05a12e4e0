<?php

namespace App\Actions\Import;

use App\Models\Calendar;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\PlantCalendar;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Naming\Code;

/** The files of one import, read and checked column by column; what is wrong with them is kept. */
final class Folder
{
    /** @var array<string, array<int, array<string, ?string>>> by file name and line */
    public array $rows = [];

    /** @var list<Problem> the first of them: a file of short wrong lines has half a million */
    public array $problems = [];

    public int $problemCount = 0;

    /** @var array<string, list<string>> columns that a file does not have */
    public array $absent = [];

    /** @var array<string, array<string, true>> known values by "table.column", in lower case */
    private array $known = [];

    /** @var array<string, array<string, true>> values of rows that are refused, by "table.column" */
    private array $refused = [];

    /** @var array<string, true> "table.column" of files that could not be read */
    private array $unread = [];

    private const TOLD = 500;

    /** Lines of one file: more than a shop has, and less than memory holds. */
    private const LINES = 100_000;

    /** What a row of a file is known by to others: "table.column", and the columns it is made of. */
    private const NAMES = [
        'units' => ['units.code', ['code']],
        'customers' => ['customers.number', ['number']],
        'suppliers' => ['suppliers.number', ['number']],
        'places' => ['places.code', ['code']],
        'shifts' => ['calendars.code', ['calendar']],
        'work-centres' => ['work_centres.code', ['code']],
        'items' => ['items.number', ['number']],
        'item-units' => ['item-units.item', ['item']],
        'customer-orders' => ['customer-orders.line', ['number', 'line']],
        'orders' => ['orders.number', ['number']],
    ];

    /** @param  callable(string, int): void  $progress what is being done, and lines done */
    private function __construct(private $progress)
    {
    }

    /** @param  callable(string, int): void  $progress */
    public static function read(string $path, callable $progress): self
    {
        $self = new self($progress);
        $specs = Files::all();
        foreach (array_filter(glob("{$path}/*") ?: [], is_file(...)) as $file) {
            $name = basename($file);
            $kind = pathinfo($name, PATHINFO_EXTENSION);
            if (! in_array($kind, ['csv', 'json'], true) || ! isset($specs[pathinfo($name, PATHINFO_FILENAME)])) {
                $self->keep(new Problem($name, 0, '',
                    'is not a file this imports. There are: '.implode(', ',
                        array_map(fn (FileSpec $spec): string => $spec->file(), $specs)).'.'));
            }
        }
        $done = 0;
        foreach ($specs as $spec) {
            $both = array_filter(["{$path}/{$spec->file()}", "{$path}/{$spec->name}.json"], is_file(...));
            if (count($both) > 1) {
                $self->keep(new Problem($spec->file(), 0, '', 'comes as JSON too. Send one of the two.'));
            } elseif ($both !== []) {
                $self->readFile(reset($both), $spec, $done);
            }
        }
        IndentedList::unfold($self);
        if ($self->rows === [] && $self->problemCount === 0) {
            $self->keep(new Problem('', 0, '', 'The folder holds no file to import.'));
        }

        return $self;
    }

    /** @return array<int, array<string, ?string>>  by line; none where the file is not there */
    public function rowsOf(string $file): array
    {
        return $this->rows[$file] ?? [];
    }

    public function problem(string $file, int $line, string $column, string $says): void
    {
        if ($file === 'structures' && $line > IndentedList::FROM) {
            [$file, $line] = [IndentedList::FILE, $line - IndentedList::FROM];
            $column = $column === 'component' ? 'item' : $column;
        }
        $this->keep(new Problem("{$file}.csv", $line, $column, $says));
    }

    /** @throws ImportRefused when there are any */
    public function assertRight(): void
    {
        if ($this->problemCount > 0) {
            throw new ImportRefused($this->problems, $this->problemCount);
        }
    }

    private function keep(Problem $problem): void
    {
        if ($this->problemCount++ < self::TOLD) {
            $this->problems[] = $problem;
        }
    }

    private function readFile(string $path, FileSpec $spec, int &$done): void
    {
        $today = CarbonImmutable::now(config()->string('pace.zone'));
        $calendar = $this->plant();
        $this->rows[$spec->name] = [];
        $seen = [];
        $before = $this->problemCount;
        $lines = 0;
        foreach ($this->cells($path, $spec) as $line => $cells) {
            if (++$lines > self::LINES) {
                $this->tooMany($spec, $line);
                break;
            }
            $this->absent[$spec->name] ??= $spec->without(array_keys($cells));
            $problems = $this->problemCount;
            [$row, $isExcused] = $this->readRow($spec, $line, $cells, $today, $calendar);
            $key = self::keyOf($spec, $row);
            if (isset($seen[$key])) {
                $this->problem($spec->name, $line, implode(' + ', $spec->key), "stands in line {$seen[$key]} already.");
            }
            $seen[$key] = $line;
            $isRight = ! $isExcused && $this->problemCount === $problems;
            if ($isRight) {
                // what a wrong line means is not asked
                $this->rows[$spec->name][$line] = $row;
            }
            $this->learn($spec, $isRight ? $row : array_map(trim(...), $cells), $isRight);
            if (++$done % 500 === 0) {
                ($this->progress)("Reading {$spec->file()}", $done);
            }
        }
        if ($this->problemCount > $before) {
            $this->unreadIfNone($spec);
        }
    }

    /** A file of which no line can be read names nothing: who names what stands in it is not to blame. */
    private function unreadIfNone(FileSpec $spec): void
    {
        if ($this->rows[$spec->name] === [] && isset(self::NAMES[$spec->name])) {
            $this->unread[self::NAMES[$spec->name][0]] = true;
        }
    }

    /** @return iterable<int, array<string, string>> by line */
    private function cells(string $path, FileSpec $spec): iterable
    {
        return str_ends_with($path, '.json')
            ? JsonFile::rows($path, $spec, $this->keep(...))
            : CsvFile::rows($path, $spec, $this->keep(...));
    }

    /** @param  array<string, mixed>  $row */
    private static function keyOf(FileSpec $spec, array $row): string
    {
        return implode("\0", array_map(fn (string $name): string => Code::keyOf((string) $row[$name]), $spec->key));
    }

    private function tooMany(FileSpec $spec, int $line): void
    {
        $most = number_format(self::LINES, 0, '.', ' ');
        $says = "is one line too many: {$most} at most in one file. Import it in parts.";
        $this->problem($spec->name, $line, '', $says);
    }

    /**
     * @param  array<string, string>  $cells
     * @return array{array<string, ?string>, bool} the row, and whether it refers to one that is refused: then it is
     *     passed by, and no
     *                                             fault of its own
     */
    private function readRow(
        FileSpec $spec,
        int $line,
        array $cells,
        CarbonImmutable $today,
        ?WorkingCalendar $calendar,
    ): array {
        $row = [];
        $isExcused = false;
        foreach ($spec->columns as $column) {
            $read = $column->read($cells[$column->name] ?? '', $today, $calendar);
            $row[$column->name] = $read['ok'] ? $read['value'] : null;
            if (! $read['ok']) {
                $this->problem($spec->name, $line, $column->name, $read['value'].'.');
            } elseif (
                $column->refers !== null
                && $read['value'] !== ''
                && ! $this->isKnown($column->refers, (string) $read['value'])
            ) {
                if ($this->isRefused(implode('.', $column->refers), (string) $read['value'])) {
                    $isExcused = true;

                    continue;
                }
                $this->problem(
                    $spec->name,
                    $line,
                    $column->name,
                    "'{$read['value']}' is not among the {$column->refers[0]}. Add it there first, or to its file.",
                );
            }
        }

        return [$row, $isExcused];
    }

    /** Whether a row of this name stands in a file of this import and is refused itself: one slip is one message. */
    public function isRefused(string $what, string $value): bool
    {
        return isset($this->unread[$what]) || isset($this->refused[$what][Code::keyOf($value)]);
    }

    /** @param  array<string, ?string>  $row values later files may refer to */
    private function learn(FileSpec $spec, array $row, bool $isRight): void
    {
        [$what, $columns] = self::NAMES[$spec->name] ?? ['', []];
        if ($what === '') {
            return;
        }
        $name = Code::keyOf(implode(
            '/',
            array_map(fn (string $column): string => (string) ($row[$column] ?? ''), $columns),
        ));
        if (! $isRight) {
            $this->refused[$what][$name] = true;
        } elseif (! str_contains($what, '-') && $what !== 'orders.number') {
            $this->load($what);
            $this->known[$what][$name] = true;
        }
    }

    /** @param  array{string, string}  $refers */
    private function isKnown(array $refers, string $value): bool
    {
        $this->load(implode('.', $refers));

        return isset($this->known[implode('.', $refers)][Code::keyOf($value)]);
    }

    private function load(string $what): void
    {
        if (! isset($this->known[$what])) {
            [$table, $column] = explode('.', $what);
            $this->known[$what] = array_fill_keys(DB::table($table)->pluck($column)
                ->map(fn ($value): string => Code::keyOf((string) $value))->all(), true);
        }
    }

    /** Working days are counted by the plant's calendar, in the same import or from before. */
    private function plant(): ?WorkingCalendar
    {
        $code = $this->plantCode();
        $shifts = [];
        foreach ($this->rows['shifts'] ?? [] as $row) {
            if (
                $row['calendar'] === $code
                && $row['weekday'] !== null
                && $row['from'] !== null
                && $row['to'] !== null
            ) {
                $shifts[] = new \KeepPace\Core\Calendar\Shift(
                    max(1, min(7, (int) $row['weekday'])),
                    $row['from'],
                    $row['to'],
                    $row['kind'] === 'break',
                );
            }
        }

        return $shifts !== []
            ? new WorkingCalendar(config()->string('pace.zone'), $shifts)
            : PlantCalendar::known();
    }

    /** As it will be when these files are in: the one that is set, else the first. */
    private function plantCode(): string
    {
        $set = Settings::text(Setting::PlantCalendar);
        $brought = array_column($this->rows['shifts'] ?? [], 'calendar');
        $there = PlantCalendar::row()?->code;

        return in_array($set, [$there, ...$brought], true) ? $set : $there ?? (string) ($brought[0] ?? '');
    }
}
