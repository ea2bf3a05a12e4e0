<?php

namespace App\Actions\Import;

use App\Actions\Product\RevisionLines;
use App\Books\ProductChanges;
use App\Models\Family;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Cents;

/** Writes structures and routings: an approved revision stays as it is; a difference asks for a new revision. */
final class RevisionWriter
{
    /** Columns of a step that are called the same in the file. */
    private const SAME = [
        'setup_minutes', 'run_basis', 'run_rate', 'batch', 'crew', 'wait_minutes', 'move_minutes',
        'lead_time_days', 'transport_days', 'price', 'instructions', 'setup_crew', 'qualification', 'tools',
        'work_ordered',
    ];

    /** @var array<string, int> id by key */
    private array $families = [];

    public function __construct(
        private readonly Folder $folder,
        private readonly ImportedIds $ids,
        private readonly ProductChanges $changes,
        private readonly ImportResult $result,
    ) {
    }

    public function routings(): void
    {
        $this->write(RevisionKind::Routing, $this->step(...));
    }

    public function structures(): void
    {
        $this->write(RevisionKind::Structure, $this->line(...));
    }

    /** @param  callable(array<string, ?string>): array<string, mixed>  $line */
    private function write(RevisionKind $kind, callable $line): void
    {
        $lines = new RevisionLines($kind, $this->changes);
        $revisions = collect($this->folder->rowsOf($kind->value))
            ->map(fn (array $row, int $at): array => [...$row, '@' => (string) $at])
            ->groupBy(fn (array $row): string => Code::keyOf("{$row['item']}\0{$row['revision']}"));
        foreach ($revisions as $rows) {
            $first = $rows->firstOrFail();
            $itemId = $this->ids->of(['items', 'number'], $first['item']);
            $want = array_values($rows->map($line)->sortBy($kind->by())->all());
            $old = $kind->model()::query()
                ->where('item_id', $itemId)
                ->where('revision_key', Code::keyOf((string) $first['revision']))
                ->first();
            if ($old === null) {
                $id = DB::table($kind->value)->insertGetId(['item_id' => $itemId, ...self::head($first)]);
                $lines->insert($id, $want);
                $this->result->addNew($kind->value, "{$first['item']} revision {$first['revision']}");
            }
            $how = $old === null ? 'new' : $this->change($lines, $old, $first, $want);
            $how === null ?: $this->result->add($kind->value, $how, count($want));
        }
    }

    /**
     * @param  array<string, ?string>  $first  line of the revision in the file
     * @param  list<array<string, mixed>>  $want
     * @return 'same'|'changed'|null  what became of it; null = it is approved and stays
     */
    private function change(RevisionLines $lines, Structure|Routing $old, array $first, array $want): ?string
    {
        $have = $lines->of($old->id);
        if ($lines->isSame($have, $want) && ($old->status === $first['status'] || ! $old->isDraft())) {
            return 'same';
        }
        if (! $old->isDraft()) {
            $this->stays($old::kind()->value, $first);

            return null;
        }
        $record = "{$first['item']} revision {$first['revision']}";
        $lines->replace($old->id, $record, $have, $want);
        foreach (['status', 'effective_from'] as $field) {
            if ((string) $old->getAttribute($field) !== (string) $first[$field]) {
                $this->changes->field($old::kind()->value, $old->id, $record, str_replace('_', ' ', $field),
                    (string) $old->getAttribute($field), (string) $first[$field]);
            }
        }
        $old->fill([...self::head($first, ['status', 'effective_from']), 'version' => $old->version + 1])->save();

        return 'changed';
    }

    /**
     * @param  array<string, ?string>  $row
     * @param  list<string>  $columns
     * @return array<string, ?string>
     */
    private static function head(array $row, array $columns = ['revision', 'status', 'effective_from']): array
    {
        return array_intersect_key($row, array_flip($columns));
    }

    /** @param  array<string, ?string>  $first */
    private function stays(string $file, array $first): void
    {
        $this->folder->problem(
            $file,
            (int) $first['@'],
            'revision',
            "revision {$first['revision']} of {$first['item']} is approved and differs from this. Give the change a "
                .'new revision.',
        );
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function step(array $row): array
    {
        return ['number' => (int) $row['step'], 'name' => $row['name'],
            'work_centre_id' => $this->ids->of(['work_centres', 'code'], $row['work_centre']),
            'supplier_id' => $this->ids->of(['suppliers', 'number'], $row['supplier']),
            ...array_intersect_key($row, array_flip(self::SAME)),
            'family_id' => (string) $row['family'] === '' ? null : $this->family((string) $row['family']),
            'may_be_interrupted' => $row['unbroken'] === 'yes' ? 0 : 1,
            'machine_minutes' => $row['machine_minutes'] === '' ? null : $row['machine_minutes'],
            'transfer_quantity' => $row['transfer'] === '' ? null : $row['transfer'],
            'ways' => (string) $row['alternatives'],
            'setup_cents' => Cents::of(BigDecimal::one(), (string) $row['setup_charge']),
            'minimum_cents' => Cents::of(BigDecimal::one(), (string) $row['minimum']),
            'service_item_id' => $this->ids->of(['items', 'number'], $row['service']),
        ];
    }

    private function family(string $code): int
    {
        return $this->families[Code::keyOf($code)] ??= Family::called($code)->id;
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function line(array $row): array
    {
        $component = $this->ids->of(['items', 'number'], $row['component']);
        $back = StructureChecks::comesBack($row);

        return [
            'position' => (int) $row['position'],
            'item_id' => $component,
            'quantity' => (string) BigDecimal::of((string) $row['quantity'])->abs(),
            'unit_id' => $this->ids->of(['units', 'code'], $row['unit'])
                ?? (int) DB::table('items')->where('id', $component)->value('unit_id'),
            'basis' => $row['basis'],
            'scrap_percent' => $row['scrap_percent'],
            'step_number' => $row['step'] === '' ? null : (int) $row['step'],
            'designators' => $row['designators'],
            'issue_by' => $row['issue_by'],
            'supplied_by' => $row['supplied_by'],
            'gives' => $back?->kind->value,
            'share_rule' => $back?->rule->value,
            'share' => $back === null || (string) $row['share'] === '' ? null : $row['share'],
        ];
    }
}
