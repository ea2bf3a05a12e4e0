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
use App\Shop\ItemNumbers;
use App\Shop\MadeOf;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Enters a new item; like another, it begins with drafts of that one's structure and routing. */
final class MakeItem
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $number  '' = by the rule of the item it is like
     * @param  int|null  $like  item whose structure and routing in force it begins with
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(string $number, TypedItem $typed, ?int $like, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($number, $typed, $like, $signed): void {
                $source = $like === null ? null : Item::query()->findOrFail($like);
                $item = self::entered(NewCode::of(self::number($number, $source), 'number'), $typed);
                $code = $item->number;
                $changes = new ProductChanges($ledger->booking->id);
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

    /** @throws Refused when it has none */
    private static function number(string $typed, ?Item $like): string
    {
        return match (true) {
            trim($typed) !== '' => $typed,
            $like !== null && $like->number_rule !== '' => ItemNumbers::taken($like->number_rule),
            default => throw Refused::because('Give it a number.', 'number'),
        };
    }

    /** @throws Refused beside the number */
    private static function entered(NewCode $code, TypedItem $typed): Item
    {
        $code->assertFree(Item::query()->firstWhere('number_key', $code->key())?->label());
        $columns = [
            ...$typed->columns(),
            'number' => $code->typed,
            'cost' => $typed->cost ?? '0',
            'price' => $typed->price ?? '0',
        ];
        $item = $code->enter(fn (): Item => Item::query()->create($columns));
        DB::table('item_stock')->insert(['item_id' => $item->id]);

        return $item->refresh()->load('unit', 'units.unit');
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
