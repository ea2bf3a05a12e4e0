<?php

namespace App\Queries\Stock;

use App\Models\StandardsToCome;

/** Standard costs that are to be taken on a day ahead. */
final readonly class ComingStandards
{
    private function __construct(
        public int $id,
        public int $booking,
        public string $from,
        public int $items,
        public string $person,
        public string $reason,
        public string $refused,
    ) {
    }

    /** @return list<self> the next first */
    public static function all(): array
    {
        $all = [];
        $open = StandardsToCome::open()->with('booking.person')->orderBy('from_on')->orderBy('id');
        foreach ($open->get() as $come) {
            $all[] = new self(
                $come->id,
                $come->booking_id,
                $come->from_on,
                count($come->costs),
                $come->booking->person->name,
                $come->booking->reason,
                $come->refused,
            );
        }

        return $all;
    }
}
