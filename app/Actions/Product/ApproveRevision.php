<?php

namespace App\Actions\Product;

use App\Access\Deed;
use App\Actions\Orders\FreshCopy;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\ItemRevision;
use App\Models\Person;
use App\Models\RevisionKind;
use App\Models\Structure;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\MadeOf;
use App\Shop\ToApprove;
use Carbon\CarbonImmutable;
use KeepPace\Core\Refused;

/** Approves a draft: from its day on orders are made by it, and nobody changes it any more. */
final class ApproveRevision
{
    public function __construct(private readonly Bookings $bookings, private readonly FreshCopy $copy)
    {
    }

    /** @throws Refused with all that is missing */
    public function handle(RevisionKind $kind, int $id, TypedApproval $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, new Part(
            // whatever could close a loop with it has an item in common with it: they wait for each other there
            fn (): Needs => Needs::items(self::below($kind, $id))
                ->and(FreshCopy::needs(self::ordersFrom($kind, $id, $typed))),
            function (Ledger $ledger, Held $held) use ($kind, $id, $typed, $signed): void {
                $draft = Drafts::held($kind, $id, $typed->version);
                $day = $typed->from ?? self::today();
                self::assertMay($draft, $day, $signed->person);
                self::assertFits($draft, $typed->fits);
                $holes = ToApprove::holes($draft, $day);
                if ($holes !== []) {
                    throw new Refused($holes);
                }
                $orders = self::ordersFrom($kind, $id, $typed);
                self::assertOneWay($typed, $orders);
                $this->write($ledger, $draft, $day, $signed->person, self::part($draft, $typed));
                $this->copyAnew($ledger, $held, $orders);
            },
        ));
    }

    private function write(Ledger $ledger, ItemRevision $draft, string $day, Person $by, ?Item $part): void
    {
        $changes = new ProductChanges($ledger->booking->id);
        $record = Drafts::record($draft);
        $changes->field($draft::kind()->value, $draft->id, $record, 'status', 'draft', 'approved');
        $changes->field(
            $draft::kind()->value,
            $draft->id,
            $record,
            'effective from',
            (string) $draft->effective_from,
            $part === null ? $day : "when {$part->number} is used up",
        );
        $changes->write();
        self::waitNoLonger($draft);
        $draft->fill([
            'status' => 'approved',
            'effective_from' => $day,
            'approved_by_id' => $by->id,
            'approved_at' => now(),
            'version' => $draft->version + 1,
            ...$part === null ? [] : ['waits_for_item_id' => $part->id],
        ])->save();
        $ledger->says(ucfirst($draft->label()).' is approved, '.match (true) {
            $part !== null => "and comes into force when {$part->label()} is used up.",
            $day === self::today() => 'for orders made from now on.',
            default => 'for orders made from '.CarbonImmutable::parse($day)->format('D j M Y').' on.',
        });
    }

    /** @param  list<int>  $orders */
    private function copyAnew(Ledger $ledger, Held $held, array $orders): void
    {
        $freed = [];
        $numbers = [];
        foreach ($orders as $id) {
            $order = $held->order($id)->load('item.unit', 'structure');
            $freed = [...$freed, ...$this->copy->take($ledger, $order)];
            $numbers[] = $order->number;
        }
        $numbers === [] ?: $ledger->says('Copied anew: '.implode(', ', $numbers).'.');
        $freed === [] ?: $ledger->says('No longer for them: '.implode(', ', $freed).'.');
    }

    /**
     * The order that was chosen and the firm ones made after it.
     *
     * @return list<int>
     */
    private static function ordersFrom(RevisionKind $kind, int $id, TypedApproval $typed): array
    {
        if ($typed->fromOrder === null) {
            return [];
        }
        $firm = array_keys(ToApprove::firmOrders($kind->model()::query()->findOrFail($id)));

        return in_array($typed->fromOrder, $firm, true)
            ? array_values(array_filter($firm, fn (int $one): bool => $one >= $typed->fromOrder))
            : [];
    }

    /**
     * @param  list<int>  $orders
     *
     * @throws Refused beside the choice
     */
    private static function assertOneWay(TypedApproval $typed, array $orders): void
    {
        if ($typed->fromOrder === null) {
            return;
        }
        if ($orders === []) {
            throw Refused::because(
                'Choose a firm order of this item: what is released stays the copy it is.',
                'from_order',
            );
        }
        if ($typed->usedUp !== null || ($typed->from ?? self::today()) !== self::today()) {
            throw Refused::because(
                'From an order on it is in force at once: leave the day and the part out.',
                'from_order',
            );
        }
    }

    /** What waited until a part is used up is overtaken by what is approved later. */
    private static function waitNoLonger(ItemRevision $draft): void
    {
        if ($draft instanceof Structure) {
            Structure::query()
                ->where('item_id', $draft->item_id)
                ->whereNotNull('waits_for_item_id')
                ->update(['waits_for_item_id' => null]);
        }
    }

    /**
     * The part that is used up first.
     *
     * @throws Refused beside the choice
     */
    private static function part(ItemRevision $draft, TypedApproval $typed): ?Item
    {
        if ($typed->usedUp === null) {
            return null;
        }
        if (! isset(ToApprove::canBeUsedUp($draft)[$typed->usedUp])) {
            throw Refused::because('Choose a part of the structure before that this one does not take.', 'used_up');
        }
        if ($typed->from !== null) {
            throw Refused::because('Either from a day, or when the part is used up.', 'used_up');
        }

        return Item::query()->findOrFail($typed->usedUp);
    }

    private static function today(): string
    {
        return now(config()->string('pace.zone'))->toDateString();
    }

    /** @return list<int> its item and all below it */
    private static function below(RevisionKind $kind, int $id): array
    {
        $draft = $kind->model()::query()->findOrFail($id);
        $of = MadeOf::below([$draft->item_id], $draft instanceof Structure ? $draft : null);

        return array_column($of->items, 'id');
    }

    /**
     * What does not fit what it replaces is another item: stock, orders and papers could not tell them apart.
     *
     * @throws Refused beside the question
     */
    private static function assertFits(ItemRevision $draft, ?bool $fits): void
    {
        if (! ToApprove::asksWhetherItFits($draft) || $fits === true) {
            return;
        }
        $number = $draft->item->number;
        throw Refused::because(
            $fits === null
                ? 'Say whether what is made by the structure before and by this one can stand in for one another.'
                : "Then it takes a number of its own: enter a new one like {$number} with this structure, and on the "
                    ."page of {$number} put it in its place wherever it is used.",
            'fits',
        );
    }

    /** @throws Refused */
    private static function assertMay(ItemRevision $draft, string $day, Person $by): void
    {
        $isOwn = $draft->changed_by_id === $by->id && ! Settings::yes(Setting::AuthorApproves);
        if ($isOwn && Person::anotherMay(Deed::DrawUp, $by)) {
            throw Refused::because(
                'You changed this draft last. Another person approves it: two pairs of eyes see more. '
                    .'A shop can have it otherwise, under Settings.',
            );
        }
        if ($day < self::today()) {
            throw Refused::because(
                'That day has passed. Orders made since then are as they are; approve it from today on.',
                'from',
            );
        }
    }
}
