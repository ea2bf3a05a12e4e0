<?php

namespace App\Actions\Import;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\OtherWays;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;
use KeepPace\Core\Structure\Structures;

/** What an import says of structures and routings: no loop, steps that somebody can do. */
final class StructureChecks
{
    /** @var array<string, string> numbers as first seen, by key */
    private array $spelt = [];

    public function __construct(private readonly Folder $folder, private readonly ImportedItems $items)
    {
    }

    public function run(): void
    {
        foreach ($this->folder->rowsOf('structures') as $line => $row) {
            $this->line($line, $row);
        }
        $this->comeBackTogether();
        try {
            (new Structures($this->lines()))->assertNoLoop();
        } catch (Refused $loop) {
            $this->folder->problem('structures', 0, '', $loop->getMessage());
        }
        foreach ($this->folder->rowsOf('routings') as $line => $row) {
            $this->step($line, $row);
        }
    }

    /** @param  array<string, ?string>  $row */
    private function line(int $line, array $row): void
    {
        $this->items->judge(
            'structures',
            $line,
            (string) $row['component'],
            (string) BigDecimal::of((string) $row['quantity'])->abs(),
            (string) $row['unit'],
            exact: false,
        );
        $kind = $this->items->of((string) $row['item'])['kind'];
        if (! in_array($kind, ['made', 'assembled', 'phantom'], true)) {
            $this->folder->problem(
                'structures',
                $line,
                'item',
                "{$row['item']} is {$kind}; only what is made, assembled or a phantom has a structure.",
            );
        }
        BigDecimal::of((string) $row['quantity'])->isZero()
            && $this->folder->problem('structures', $line, 'quantity', 'must not be 0.');
        if (BigDecimal::of((string) $row['scrap_percent'])->isGreaterThanOrEqualTo(100)) {
            $this->folder->problem('structures', $line, 'scrap_percent', 'must be below 100.');
        }
    }

    /**
     * A line below zero comes back; null = it goes in.
     *
     * @param  array<string, ?string>  $row
     */
    public static function comesBack(array $row): ?ComesBack
    {
        $quantity = BigRational::of((string) $row['quantity']);
        if (! $quantity->isNegative()) {
            return null;
        }
        $kind = OutputKind::tryFrom((string) $row['comes_back']) ?? OutputKind::ByProduct;
        $rule = ShareRule::tryFrom((string) $row['share_rule']);

        return new ComesBack(
            '',
            Code::keyOf((string) $row['component']),
            $kind,
            $quantity->negated(),
            LineBasis::from((string) $row['basis']),
            $rule ?? ($kind === OutputKind::CoProduct ? ShareRule::Value : ShareRule::SetValue),
            BigDecimal::of((string) $row['share'] === '' ? '0' : (string) $row['share']),
        );
    }

    /** What comes back of one revision, each line and all together. */
    private function comeBackTogether(): void
    {
        $revisions = [];
        foreach ($this->folder->rowsOf('structures') as $line => $row) {
            $back = self::comesBack($row);
            if ($back !== null) {
                $revisions[Code::keyOf("{$row['item']}\0{$row['revision']}")][$line] = $back;
                $this->comesIntoStock($line, $row);
            }
        }
        foreach ($revisions as $lines) {
            foreach (ComesBack::wrong($lines) as $line => [$column, $says]) {
                $this->folder->problem('structures', $line, $column, $says);
            }
        }
    }

    /** @param  array<string, ?string>  $row */
    private function comesIntoStock(int $line, array $row): void
    {
        $kind = ItemKind::tryFrom($this->items->of((string) $row['component'])['kind']);
        $says = match (true) {
            Code::keyOf((string) $row['component']) === Code::keyOf((string) $row['item']) => 'is the product itself.',
            $kind !== null && ! $kind->hasStock() => "is {$kind->label()}: it cannot come into stock.",
            default => null,
        };
        $says === null ?: $this->folder->problem('structures', $line, 'component', $says);
    }

    /** @return array<string, list<Line>>  of what is approved, and of the file, by the item they make */
    private function lines(): array
    {
        $approved = DB::table('structure_lines AS l')
            ->join('structures AS s', 's.id', 'structure_id')
            ->join('items AS p', 'p.id', 's.item_id')
            ->join('items AS c', 'c.id', 'l.item_id')
            ->where('s.status', 'approved')
            ->whereNull('l.gives')
            ->get(['p.number AS parent', 'c.number AS component']);
        $lines = [];
        foreach ($approved as $row) {
            $component = $this->spelt($row->component);
            $lines[$this->spelt($row->parent)][] = new Line('', $component, BigRational::one());
        }
        foreach ($this->folder->rowsOf('structures') as $row) {
            if (self::comesBack($row) !== null) {
                continue;
            }
            $component = $this->spelt((string) $row['component']);
            $lines[$this->spelt((string) $row['item'])][] = new Line('', $component, BigRational::one());
        }

        return $lines;
    }

    /** An item's number as it was first seen: a loop goes through 'A' and 'a' alike. */
    private function spelt(string $number): string
    {
        return $this->spelt[Code::keyOf($number)] ??= $number;
    }

    /** @param  array<string, ?string>  $row */
    private function step(int $line, array $row): void
    {
        if (($row['work_centre'] === '') === ($row['supplier'] === '')) {
            $this->folder->problem(
                'routings',
                $line,
                'work_centre',
                'a step is done at a work centre or by a supplier: fill one of the two.',
            );
        }
        if (
            $row['run_basis'] === 'units_per_hour'
            && $row['supplier'] === ''
            && BigDecimal::of((string) $row['run_rate'])->isZero()
        ) {
            $this->folder->problem('routings', $line, 'run_rate', 'must be above 0 units per hour.');
        }
        $this->service($line, $row);
        $this->alternatives($line, (string) $row['alternatives']);
    }

    /** @param  array<string, ?string>  $row */
    private function service(int $line, array $row): void
    {
        $service = (string) $row['service'];
        $kind = $service === '' ? '' : $this->items->of($service)['kind'];
        $says = match (true) {
            $service === '' => null,
            $kind !== '' && $kind !== ItemKind::Outside->value => "{$service} is {$kind}, no outside service.",
            default => null,
        };
        $says === null ?: $this->folder->problem('routings', $line, 'service', $says);
    }

    private function alternatives(int $line, string $written): void
    {
        if ($written !== '' && preg_match(OtherWays::PATTERN, $written) !== 1) {
            $this->folder->problem(
                'routings',
                $line,
                'alternatives',
                "'{$written}' is not such as SAW2|BENCH:150 (work centres, with the time in percent).",
            );

            return;
        }
        $codes = [
            ...DB::table('work_centres')->pluck('code')->all(),
            ...array_column($this->folder->rowsOf('work-centres'), 'code'),
        ];
        foreach (
            array_diff(
                array_keys(OtherWays::read($written)),
                array_map(Code::keyOf(...), array_map(strval(...), $codes)),
            ) as $code
        ) {
            if ($this->folder->isRefused('work_centres.code', $code)) {
                continue;
            }
            $this->folder->problem(
                'routings',
                $line,
                'alternatives',
                'no work centre has the code '.mb_strtoupper($code).'.',
            );
        }
    }
}
