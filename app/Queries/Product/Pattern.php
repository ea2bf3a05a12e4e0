<?php

namespace App\Queries\Product;

use App\Models\Item;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** An item others are entered like, numbered by its rule. */
final readonly class Pattern
{
    private function __construct(public int $id, private string $name, private string $rule, public bool $isChosen)
    {
    }

    /**
     * @return Collection<int, self>
     */
    public static function all(?Item $chosen): Collection
    {
        return Row::all(
            DB::table('items')
                ->where('number_rule', '<>', '')
                ->whereNull('retired_at')
                ->orderBy('name')
                ->limit(60)
                ->select(['id', 'name', 'number_rule']),
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->text('name'),
                $row->text('number_rule'),
                $row->int('id') === $chosen?->id,
            ),
        );
    }

    /** "Bracket, BRK-####" */
    public function says(): string
    {
        return "{$this->name}, {$this->rule}";
    }
}
