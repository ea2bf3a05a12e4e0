<?php

namespace App\Actions\Product;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\RevisionKind;
use App\Shop\MadeOf;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** Enters a new item; like another, it begins with drafts of that one's structure and routing. */
final class MakeItem
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int|null  $like  item whose structure and routing in force it begins with
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(string $number, TypedItem $typed, ?int $like, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($number, $typed, $like, $signed): void {
                $code = self::code($number);
                $columns = $typed->columns();
                $item = Item::query()->create([
                    ...$columns,
                    'number' => $code,
                    'cost' => $typed->cost ?? '0',
                    'price' => $typed->price ?? '0',
                ])->refresh()->load('unit', 'units.unit');
                DB::table('item_stock')->insert(['item_id' => $item->id]);
                $changes = new ProductChanges($ledger->booking->id);
                $source = $like === null ? null : Item::query()->findOrFail($like);
                $begun = $source === null ? 'new' : "like {$source->number}";
                $changes->field('items', $item->id, $code, 'item', '', $begun);
                (new ItemColumns($changes, $signed->person))->write($item, $typed);
                $changes->write();
                $drafts = $source === null ? [] : $this->drafts($ledger, $item, $source, $signed);
                $ledger->says("{$item->label()} entered".($drafts === [] ? '.' : ', with a draft of its '
                    .implode(' and of its ', $drafts).'.'));
            },
        ));
    }

    /** @throws Refused beside the number */
    private static function code(string $number): string
    {
        $wrong = Code::wrong($number);
        if ($wrong !== null) {
            throw Refused::because($wrong, 'number');
        }
        $code = Code::of($number)->typed;
        $there = Item::query()->firstWhere('number_key', Code::keyOf($code));
        if ($there !== null) {
            throw Refused::because(
                "That is {$there->label()} already. Give the new one a number of its own.",
                'number',
            );
        }

        return $code;
    }

    /** @return list<string> what was begun */
    private function drafts(Ledger $ledger, Item $item, Item $source, Signed $signed): array
    {
        $begun = [];
        foreach ($item->kind === $source->kind ? RevisionKind::cases() : [] as $kind) {
            $from = array_key_first(MadeOf::inForce($kind, [$source->id]));
            if ($from !== null) {
                BeginDraft::write($ledger, $item, $kind, $from, $signed);
                $begun[] = $kind->label();
            }
        }

        return $begun;
    }
}
