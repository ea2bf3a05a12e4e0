<?php

namespace App\Queries\Product;

use App\Models\RevisionKind;
use App\Reading\Row;
use App\Shop\MadeOf;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\ItemKind;

/** A phantom whose steps come before a step of what uses it, in its orders. */
final readonly class PhantomBefore
{
    private function __construct(public string $phantom, private ?int $step)
    {
    }

    /** @return Collection<int, self> in the structure of an item that is in force */
    public static function in(int $item): Collection
    {
        $structure = array_key_first(MadeOf::inForce(RevisionKind::Structure, [$item]));

        return Row::all(
            DB::table('structure_lines AS l')
                ->join('items AS i', 'i.id', 'l.item_id')
                ->where('l.structure_id', $structure)
                ->where('i.kind', ItemKind::Phantom->value)
                ->whereExists(
                    DB::table('routings AS r')->whereColumn('r.item_id', 'i.id')->where('r.status', 'approved'),
                )
                ->orderBy('l.position')
                ->select(['i.number', 'l.step_number']),
            fn (Row $row): self => new self($row->text('number'), $row->intOrNull('step_number')),
        );
    }

    public function step(): string
    {
        return $this->step === null ? 'the first step' : "step {$this->step}";
    }
}
