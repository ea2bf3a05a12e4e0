<?php

namespace App\Queries\Product;

use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use App\Wording\When;
use KeepPace\Core\Structure\Revision;

/** All revisions of one item's structure or routing, the newest first. */
final readonly class RevisionList
{
    /** @param  list<ListedRevision>  $all */
    private function __construct(public RevisionKind $kind, public array $all)
    {
    }

    public static function of(RevisionKind $kind, int $item): self
    {
        $heads = $kind->model()::query()
            ->with(['changedBy', 'approvedBy'])
            ->where('item_id', $item)
            ->orderByDesc('id')
            ->get();
        $today = When::today()->toDateString();
        $revisions = $heads->map(fn (Structure|Routing $one): Revision => $one->asRevision());
        $inForce = Revision::inForce(array_values($revisions->all()), $today)?->id;
        $listed = $heads->map(
            fn (Structure|Routing $one): ListedRevision => ListedRevision::of($one, $inForce, $today),
        );

        return new self($kind, array_values($listed->all()));
    }

    public function areSeveral(): bool
    {
        return count($this->all) > 1;
    }

    public function draft(): ?ListedRevision
    {
        return $this->first(fn (ListedRevision $one): bool => $one->isDraft);
    }

    public function inForce(): ?ListedRevision
    {
        return $this->first(fn (ListedRevision $one): bool => $one->isInForce);
    }

    public function find(int $id): ?ListedRevision
    {
        return $this->first(fn (ListedRevision $one): bool => $one->id === $id);
    }

    /** @param  callable(ListedRevision): bool  $is */
    private function first(callable $is): ?ListedRevision
    {
        return array_values(array_filter($this->all, $is))[0] ?? null;
    }
}
