<?php

namespace App\Queries\Product;

use App\Models\Person;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use App\Wording\When;
use Illuminate\Database\Eloquent\Collection;
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
        $heads = self::heads($kind, $item);

        return self::listed($kind, $heads, self::names($heads));
    }

    /** @return array{self, self} of the structure and of the routing, their people read together */
    public static function both(int $item): array
    {
        $structures = self::heads(RevisionKind::Structure, $item);
        $routings = self::heads(RevisionKind::Routing, $item);
        $names = self::names([...$structures, ...$routings]);

        return [
            self::listed(RevisionKind::Structure, $structures, $names),
            self::listed(RevisionKind::Routing, $routings, $names),
        ];
    }

    /**
     * @param  iterable<Structure|Routing>  $heads
     * @return array<int, string> of those who changed or approved them, by id
     */
    private static function names(iterable $heads): array
    {
        $ids = [];
        foreach ($heads as $one) {
            array_push($ids, $one->changed_by_id, $one->approved_by_id);
        }
        $people = Person::query()->whereKey(array_filter($ids))->get();

        return $people->mapWithKeys(fn (Person $one): array => [$one->id => $one->name])->all();
    }

    /** @return Collection<int, covariant Structure|Routing> */
    private static function heads(RevisionKind $kind, int $item): Collection
    {
        return $kind->model()::query()->where('item_id', $item)->orderByDesc('id')->get();
    }

    /**
     * @param  Collection<int, covariant Structure|Routing>  $heads
     * @param  array<int, string>  $names  of people by id
     */
    private static function listed(RevisionKind $kind, Collection $heads, array $names): self
    {
        $today = When::today()->toDateString();
        $revisions = $heads->map(fn (Structure|Routing $one): Revision => $one->asRevision());
        $inForce = Revision::inForce(array_values($revisions->all()), $today)?->id;
        $listed = $heads->map(
            fn (Structure|Routing $one): ListedRevision => ListedRevision::of($one, $inForce, $today, $names),
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
