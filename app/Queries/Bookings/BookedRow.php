<?php

namespace App\Queries\Bookings;

use App\Models\BookingKind;
use App\Reading\Row;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A booking as the lists show it. */
final readonly class BookedRow
{
    public const PAGE = 60;

    private function __construct(
        public int $id,
        public BookingKind $kind,
        public string $says,
        private string $reason,
        public CarbonImmutable $enteredAt,
        public string $person,
        public ?int $reversedBy,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->enum('kind', BookingKind::class),
            $row->text('says'),
            $row->text('reason'),
            $row->moment('entered_at'),
            $row->text('person'),
            $row->intOrNull('reversed_by'),
        );
    }

    /** Bookings, newest first, with who made them and what reversed them. */
    public static function query(): Builder
    {
        return DB::table('bookings AS b')
            ->join('booking_says AS s', 's.booking_id', 'b.id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->orderByDesc('b.id')
            ->select(['b.id', 'b.kind', 's.says', 'b.reason', 'b.entered_at', 'u.name AS person'])
            ->addSelect('r.id AS reversed_by');
    }

    /**
     * @param  int  $before  booking; 0 = from the newest on
     * @return Collection<int, self>
     */
    public static function page(int $before): Collection
    {
        $query = self::query()->when($before > 0, fn (Builder $query) => $query->where('b.id', '<', $before));

        return Row::all($query->limit(self::PAGE), self::from(...));
    }

    /** The reason, where the sentence does not tell it. */
    public function reasonBeside(): string
    {
        return $this->reason !== '' && str_contains($this->says, $this->reason) ? '' : $this->reason;
    }
}
