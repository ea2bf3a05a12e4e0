<?php

namespace App\Queries\Partners;

use App\Reading\Row;

/** A customer or supplier in the list of all. */
final readonly class ListedPartner
{
    /**
     * @param  string  $contact  whom to ask for first
     * @param  string|null  $reached  the first telephone or mail of theirs
     * @param  int  $open  lines
     * @param  int  $late  of them, those whose day has passed
     * @param  string|null  $next  the first of their days
     * @param  int  $items  own ones a supplier sells; of a customer none
     */
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $address,
        public string $contact,
        public ?string $reached,
        public bool $isRetired,
        public int $open,
        public int $late,
        public ?string $next,
        public int $items,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('address'),
            $row->textOrNull('contact') ?? '',
            $row->textOrNull('reached'),
            $row->textOrNull('retired_at') !== null,
            $row->intOrNull('open') ?? 0,
            $row->intOrNull('late') ?? 0,
            $row->textOrNull('next'),
            $row->int('items'),
        );
    }
}
