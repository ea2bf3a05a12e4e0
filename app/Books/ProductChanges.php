<?php

namespace App\Books;

use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;

/**
 * The trail of product data: what a deed, of a page or a file, changed from what to what. Written in bulk at its end.
 */
final class ProductChanges
{
    /** @var list<array<string, int|string>> */
    private array $rows = [];

    /** @param  int  $booking  of the deed */
    public function __construct(private readonly int $booking)
    {
    }

    /**
     * One field of one record.
     *
     * @param  string  $record  as people call it
     */
    public function field(string $kind, int $id, string $record, string $field, ?string $before, ?string $after): void
    {
        $cut = fn (?string $text, int $most): string => mb_strimwidth(self::say((string) $text), 0, $most, '…');
        $this->rows[] = [
            'booking_id' => $this->booking,
            'kind' => $kind,
            'record_id' => $id,
            'record' => $cut($record, 80),
            'field' => $cut($field, 60),
            'before' => $cut($before, 200),
            'after' => $cut($after, 200),
        ];
    }

    public function write(): void
    {
        foreach (array_chunk($this->rows, 500) as $part) {
            DB::table('product_changes')->insert($part);
        }
        $this->rows = [];
    }

    /** A number without the zeros of its column. */
    private static function say(string $text): string
    {
        return preg_match('/^-?\d+\.\d+$/', $text) === 1 ? Amount::plain($text) : $text;
    }
}
