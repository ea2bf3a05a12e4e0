<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Quantity\Cents;

/** A step of an order that could run with steps of others, one behind the other on one set-up. */
final readonly class SetUpOnce
{
    /**
     * @param  Combining  $order  what is known of its order
     * @param  string  $label  "step 20 Press"
     * @param  int|null  $workCentre  null = it is done outside
     * @param  string|null  $family  setup family; null = none
     * @param  int  $setup  whole minutes, alone
     * @param  int  $run  planned minutes without setup
     * @param  bool  $isBegun  somebody works at it, or pieces were counted
     * @param  bool  $isShared  it is set up with others already
     * @param  bool  $isLoad  its work centre takes loads
     */
    public function __construct(
        public Combining $order,
        public string $label,
        public ?int $workCentre,
        public ?string $family,
        public int $setup,
        public int $run,
        public bool $isBegun = false,
        public bool $isShared = false,
        public bool $isLoad = false,
    ) {
    }

    /**
     * Why these are not set up once, each reason a sentence.
     *
     * @param  list<self>  $all
     * @return list<string>
     */
    public static function against(array $all): array
    {
        $wrong = count($all) < 2 ? ['Choose at least two steps to be set up once.'] : [];
        foreach ($all as $one) {
            array_push($wrong, ...$one->wrong());
        }
        if (self::differ($all, fn (self $one): string => $one->order->label) < count($all)) {
            $wrong[] = 'Two steps of one order come one after the other: choose one of each order.';
        }
        $here = array_values(array_filter($all, fn (self $one): bool => $one->workCentre !== null));
        if (self::differ($here, fn (self $one): string => (string) $one->workCentre) > 1) {
            $wrong[] = 'They are done at different work centres: each of these is set up by itself.';
        }
        if (self::differ($all, fn (self $one): string => (string) $one->family) > 1) {
            $wrong[] = 'They are of different setup families: between these it is set up anew.';
        }
        if ($all !== [] && self::setup($all) === 0) {
            $wrong[] = 'None of them takes time to set up: there is nothing to share.';
        }

        return [...$wrong, ...Combining::theirs(array_map(fn (self $one): Combining => $one->order, $all))];
    }

    /** @return list<string> */
    private function wrong(): array
    {
        $what = "{$this->label} of {$this->order->label}";

        return array_keys(array_filter([
            "{$this->order->label} is {$this->order->state->value} already: only what is not released is set up with "
                .'others.' => ! $this->order->state->isFirm(),
            "{$what} is done by a supplier, who sets up himself." => $this->workCentre === null,
            "{$what} has begun: it is set up." => $this->isBegun,
            "{$what} is set up with others already. Take it out there first." => $this->isShared,
            "{$what} goes in by loads: what fits goes in together anyway." => $this->isLoad,
        ]));
    }

    /**
     * What speaks against it and does not forbid it.
     *
     * @param  list<self>  $all
     * @return list<string>
     */
    public static function warnings(array $all): array
    {
        $apart = Combining::daysApart(array_map(fn (self $one): Combining => $one->order, $all));

        return $apart > 7 ? ["They are due {$apart} days apart: all wait for the one that is ready last."] : [];
    }

    /**
     * Minutes of the set-up they share: of the one that takes longest.
     *
     * @param  list<self>  $all
     */
    public static function setup(array $all): int
    {
        return max(0, ...array_map(fn (self $one): int => $one->setup, $all));
    }

    /**
     * What of it each pays, by planned run minutes; together the whole of it.
     *
     * @param  non-empty-list<self>  $all
     * @return array<int, int> minutes, in the same order
     */
    public static function shares(array $all): array
    {
        return Cents::split(self::setup($all), array_map(fn (self $one): int => $one->run, $all));
    }

    /**
     * @param  list<self>  $all
     * @param  callable(self): string  $of
     */
    private static function differ(array $all, callable $of): int
    {
        return count(array_unique(array_map($of, $all)));
    }
}
