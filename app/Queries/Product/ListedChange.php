<?php

namespace App\Queries\Product;

/** One change of product data in the list of all. */
final readonly class ListedChange
{
    /** Where a record is shown, by its kind. */
    private const PAGES = [
        'items' => 'items.show',
        'structures' => 'structures.show',
        'routings' => 'routings.show',
        'work_centres' => 'centres.show',
        'calendars' => 'calendars.show',
        'customers' => 'customers.show',
        'suppliers' => 'suppliers.show',
    ];

    private const LISTS = [
        'people' => 'crews.index',
        'units' => 'units.index',
        'places' => 'places.index',
        'settings' => 'settings.index',
    ];

    public function __construct(
        private string $kind,
        private int $recordId,
        public string $record,
        public string $field,
        public string $before,
        public string $after,
        public int $booking,
        public string $when,
        public string $person,
    ) {
    }

    /** Where what was changed is shown; null = nowhere of its own. */
    public function address(): ?string
    {
        return match (true) {
            isset(self::PAGES[$this->kind]) => route(self::PAGES[$this->kind], $this->recordId),
            isset(self::LISTS[$this->kind]) => route(self::LISTS[$this->kind]),
            default => null,
        };
    }
}
