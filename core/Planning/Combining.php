<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What could go into one order with others: a customer line nobody makes yet, or a firm order. */
final readonly class Combining
{
    /**
     * @param  string  $label  "C-2001 line 10", "order 512"
     * @param  string|null  $dueOn  "YYYY-MM-DD", finished by
     * @param  int|null  $customer  whose it is; null = the shelf, or another order
     * @param  bool  $takesTheirs  it takes the customer's own material
     * @param  string  $madeBy  revisions it is made by; '' = those in force
     * @param  bool  $isChanged  its parts or steps were changed by hand
     * @param  bool  $isCovered  somebody makes it already, or it is not wanted any more
     */
    public function __construct(
        public string $label,
        public int $item,
        public ?string $dueOn,
        public ?int $customer,
        public bool $takesTheirs,
        public string $madeBy = '',
        public bool $isChanged = false,
        public OrderState $state = OrderState::Firm,
        public bool $isCovered = false,
    ) {
    }

    /**
     * Why these cannot be one order, each reason a sentence.
     *
     * @param  list<self>  $all
     * @return list<string>
     */
    public static function against(array $all): array
    {
        $wrong = count($all) < 2 ? ['Choose at least two to be made as one.'] : [];
        foreach ($all as $one) {
            if (! $one->state->isFirm()) {
                $wrong[] = "{$one->label} is {$one->state->value} already: only what has not begun is combined.";
            }
            if ($one->isCovered) {
                $wrong[] = "Nothing of {$one->label} is left to be made: look again at what is wanted.";
            }
            if ($one->isChanged) {
                $wrong[] = "Parts or steps of {$one->label} were changed by hand: it is made as it is.";
            }
        }
        if (count(array_unique(array_map(fn (self $one): int => $one->item, $all))) > 1) {
            $wrong[] = 'They are of different items: one order makes one item.';
        }

        return [...$wrong, ...self::theirs($all)];
    }

    /**
     * A customer's own material is kept apart from everybody else's (trade.md, W19).
     *
     * @param  list<self>  $all
     * @return list<string> why they do not go together
     */
    public static function theirs(array $all): array
    {
        $theirs = array_filter($all, fn (self $one): bool => $one->takesTheirs);
        $customers = array_unique(array_map(fn (self $one): ?int => $one->customer, $all), SORT_REGULAR);

        return $theirs !== [] && count($customers) > 1
            ? ['It takes a customer\'s own material: that goes into nobody else\'s order.']
            : [];
    }

    /**
     * What speaks against it and does not forbid it, said before it is done.
     *
     * @param  list<self>  $all
     * @return list<string>
     */
    public static function warnings(array $all): array
    {
        $apart = self::daysApart($all);
        $revisions = array_filter(
            array_unique(array_map(fn (self $one): string => $one->madeBy, $all)),
            fn (string $one): bool => $one !== '',
        );

        return array_values(array_filter([
            $apart > 7 ? "They are due {$apart} days apart: all is made for the first." : '',
            count($revisions) > 1 ? 'They are made by different revisions: all is made by those in force today.' : '',
        ], fn (string $one): bool => $one !== ''));
    }

    /**
     * Days from the first that is due to the last.
     *
     * @param  list<self>  $all
     */
    public static function daysApart(array $all): int
    {
        $days = array_values(array_filter(
            array_map(fn (self $one): ?string => $one->dueOn, $all),
            fn (?string $day): bool => $day !== null,
        ));
        sort($days);

        return $days === [] ? 0 : self::days($days[0], $days[count($days) - 1]);
    }

    private static function days(string $from, string $to): int
    {
        return (new \DateTimeImmutable($from))->diff(new \DateTimeImmutable($to))->days ?: 0;
    }
}
