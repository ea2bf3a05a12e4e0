<?php

namespace App\Queries\Product;

use App\Reading\Cut;
use App\Reading\Like;
use App\Reading\Row;
use App\Wording\FieldWords;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** All that was changed of product data, newest first, by page or by file. */
final readonly class ChangeList
{
    public const KINDS = [
        '' => 'anything',
        'items' => 'items',
        'structures' => 'structures',
        'routings' => 'routings',
        'work_centres' => 'work centres',
        'calendars' => 'calendars',
        'people' => 'crews',
        'customers' => 'customers',
        'suppliers' => 'suppliers',
        'units' => 'units',
        'places' => 'places',
        'settings' => 'settings',
    ];

    private const SHOWN = 200;

    /** @param  Cut<ListedChange>  $changes */
    private function __construct(public string $kind, public string $text, public Cut $changes)
    {
    }

    public static function of(Request $request): self
    {
        $kind = $request->string('kind')->value();
        $kind = isset(self::KINDS[$kind]) ? $kind : '';
        $text = mb_substr($request->string('text')->trim()->value(), 0, 60);
        $changes = DB::table('product_changes AS c')
            ->join('bookings AS b', 'b.id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->when($kind !== '', fn (Builder $query) => $query->where('c.kind', $kind))
            ->where(fn (Builder $query) => self::words($query, $text))
            ->orderByDesc('c.id')
            ->select(['c.kind', 'c.record_id', 'c.record', 'c.field', 'c.before', 'c.after', 'c.booking_id'])
            ->addSelect(['b.entered_at', 'u.name AS person']);

        $from = fn (Row $row): ListedChange => new ListedChange(
            $row->text('kind'),
            $row->int('record_id'),
            $row->text('record'),
            FieldWords::of($row->text('field')),
            FieldWords::of($row->text('before')),
            FieldWords::of($row->text('after')),
            $row->int('booking_id'),
            When::say($row->text('entered_at')),
            $row->text('person'),
        );

        return new self($kind, $text, Cut::read($changes, self::SHOWN, $from));
    }

    /** Each word stands in what was changed or in the field, or is who did it. Values can be money: not asked. */
    private static function words(Builder $query, string $text): void
    {
        foreach (preg_split('/\s+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $inside = Like::inside($word);
            $query->where(fn (Builder $any) => $any
                ->where('c.record', 'like', $inside)
                ->orWhere('c.field', 'like', $inside)
                ->orWhere('u.name', 'like', $inside));
        }
    }
}
