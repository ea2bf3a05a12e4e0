<?php

namespace App\Actions\Usage;

use App\Models\Person;
use App\Models\Slip;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** Marks what was taken from the shelf: by scanning it, by hand, or all in one stroke. */
final class PickSlip
{
    /**
     * A scanned lot, serial or item number marks its one place on the list.
     *
     * @throws Refused when it stands for nothing on the list, or for two things
     */
    public function scan(int $id, string $code, Person $by): Slip
    {
        return $this->change($id, $by, function (Collection $rows) use ($code): void {
            $text = Code::keyOf($code);
            $found = $rows->filter(
                fn (ListedSplit $split): bool => Code::keyOf($split->code) === $text
                    || Code::keyOf($split->item) === $text
                    || "p{$split->id}" === $text,
            );
            $open = $found->where('isPicked', false);
            if ($found->isEmpty()) {
                throw Refused::because("{$code} is not on this list. ".self::whatIs($code), 'scan');
            }
            if ($open->isEmpty()) {
                throw Refused::because("{$code} is picked already.", 'scan');
            }
            $thing = fn (ListedSplit $split): string => "{$split->itemId}-{$split->code}";
            if ($open->unique($thing)->count() > 1) {
                throw Refused::because(
                    "{$code} stands for several things here: "
                        .$open
                            ->map(fn (ListedSplit $split): string => "{$split->item} {$split->code}")
                            ->unique()
                            ->join(', ', ' and ')
                        .'. Scan the lot, or tick the line.',
                    'scan',
                );
            }
            DB::table('slip_splits')->where('id', $open->firstOrFail()->id)->update(['is_picked' => true]);
        });
    }

    /** @param  list<int>  $splits  what is picked; the others are not */
    public function tick(int $id, array $splits, Person $by): Slip
    {
        return $this->change($id, $by, function (Collection $rows) use ($splits): void {
            $mine = $rows->pluck('id')->all();
            DB::table('slip_splits')->whereIn('id', array_intersect($mine, $splits))->update(['is_picked' => true]);
            DB::table('slip_splits')->whereIn('id', array_diff($mine, $splits))->update(['is_picked' => false]);
        });
    }

    public function all(int $id, Person $by): Slip
    {
        return $this->change(
            $id,
            $by,
            fn (Collection $rows) => DB::table('slip_splits')
                ->whereIn('id', $rows->pluck('id'))
                ->update(['is_picked' => true]),
        );
    }

    /** @param  callable(Collection<int, ListedSplit>): mixed  $work */
    private function change(int $id, Person $by, callable $work): Slip
    {
        return DB::transaction(function () use ($id, $by, $work): Slip {
            $slip = KeepSlip::open($id, null);
            $work(ListedSplit::of($id));

            return KeepSlip::changed($slip, $by);
        }, attempts: 5);
    }

    /** What a code is, that is not on the list. */
    public static function whatIs(string $code): string
    {
        $lot = DB::table('lots AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->where('l.code_key', Code::keyOf($code))
            ->first(['i.number', 'i.name']);
        $item = DB::table('items')
            ->where('number_key', Code::keyOf($code))
            ->first(['number', 'name']);

        return $lot !== null
            ? "It is a lot of {$lot->number} {$lot->name}."
            : ($item !== null
                ? "It is {$item->name}."
                : 'Nothing is known by this code.');
    }
}
