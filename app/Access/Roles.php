<?php

namespace App\Access;

/** The roles of one person, in the order of the shop's; what any of them may do, the person may. */
final readonly class Roles
{
    /** @param  list<Role>  $all  each once, in their order */
    private function __construct(public array $all)
    {
    }

    public static function of(Role ...$roles): self
    {
        return new self(array_values(array_filter(
            Role::cases(),
            fn (Role $role): bool => in_array($role, $roles, true),
        )));
    }

    /** @param  iterable<string>  $words  what else stands in it is left out */
    public static function fromWords(iterable $words): self
    {
        return self::of(...array_filter(array_map(
            fn (string $word): ?Role => Role::tryFrom(trim($word)),
            [...$words],
        )));
    }

    public function may(Deed $deed): bool
    {
        return array_filter($this->all, fn (Role $role): bool => $role->may($deed)) !== [];
    }

    public function has(Role $role): bool
    {
        return in_array($role, $this->all, true);
    }

    public function equals(self $other): bool
    {
        return $this->all === $other->all;
    }

    /** Where the person's work begins: the first of them. */
    public function first(): Role
    {
        return $this->all[0] ?? throw new \LogicException('Nobody logs in without a role.');
    }

    /** "planner", "planner and buyer", "planner, buyer and sales desk" */
    public function label(): string
    {
        $labels = array_map(fn (Role $role): string => $role->label(), $this->all);
        $last = array_pop($labels);

        return $labels === [] ? (string) $last : implode(', ', $labels)." and {$last}";
    }

    /** @return list<string> */
    public function words(): array
    {
        return array_column($this->all, 'value');
    }
}
