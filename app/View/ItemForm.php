<?php

namespace App\View;

use App\Models\Customer;
use App\Models\Item;
use App\Models\ItemUnit;
use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Models\Unit;
use App\Queries\Product\CalledBy;
use App\Queries\Product\PriceLevels;
use App\Shop\ItemNumbers;
use App\Shop\LevelPrices;
use App\Shop\MayStandIn;
use App\Shop\PriceList;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Structure\ItemKind;

/** What an item's form offers, and what stands in it before anybody types. */
final readonly class ItemForm
{
    /** What each field is for, in the trade's words. */
    private const HELP = [
        'name' => 'As it stands on papers and in lists.',
        'kind' => 'Bought, made here, put together here; a phantom is never kept, its parts take its place; an '
            .'outside service or time is charged and never on a shelf; a consumable is used without being '
            .'counted.',
        'makers_number' => 'What it is called by who makes it, not by who sells it; found in the box above, too.',
        'number_rule' => 'Makes it a pattern: it is offered where new items are entered, and those like it are '
            .'numbered so. BRK-#### gives BRK-0001 and on.',
        'category' => 'Any word by which lists are narrowed, such as sheet or bearings.',
        'description' => 'Everything that helps to know it: size, finish, what to look out for.',
        'is_running_out' => 'What is there is used up and sold; nothing more of it is bought or made.',
        'unit_id' => 'The unit stock is counted and valued in. It stays once the item has been moved.',
        'tracking' => 'By lot: what came in together can be told apart. By serial: each piece has a number.',
        'lot_rule' => 'Which lot is proposed first when it is issued.',
        'minimum_days' => 'A lot must still be good for so many days when it is issued or shipped.',
        'inspection_days' => 'Working days it is looked at when it has come: it is booked into inspection, and '
            .'counted on from then. 0: free at once.',
        'minimum_issue' => 'Never less than this is taken at once: a whole bar, a full bottle.',
        'weight' => 'Of one stock unit. Freight can be spread by it.',
        'volume' => 'Of one stock unit, in litres. Freight can be spread by it.',
        'cover_for' => 'For the line: ordered or made when a customer wants it. For the shelf: kept at a level.',
        'supplier_id' => 'Who it is usually bought of.',
        'lead_time_days' => 'Working days from the order to the day it comes. 0: not known, then the shop takes its '
            .'own assumption.',
        'ordered_by' => 'By need: when something wants it. By level: when it falls to its reorder point. One of the '
            .'two; the other figure is shown and not used.',
        'lot_sizing' => 'How much is proposed when so much is short: just that, whole lots, or a minimum and then in '
            .'multiples.',
        'lot_quantity' => 'How many one lot is, or the multiple.',
        'lot_least' => 'No fewer than this are ordered at once.',
        'reorder_point' => 'At or below this level more of it is proposed.',
        'safety_stock' => 'What should always be left for the unforeseen.',
        'usual_lot' => 'How many are usually made at once: setups are spread over so many when its cost is rolled '
            .'up.',
        'over_percent' => 'So much more than asked may be built. Beyond it whoever may change orders books it.',
        'is_parts_if_missing' => 'An order that needs more of it than is there or made takes its parts instead, when '
            .'it is made or released.',
        'is_built_for_line' => 'Each customer line brings a build of its own that follows its quantity and day. It is '
            .'booked as the line is shipped.',
        'costing' => 'How the value of its stock is kept. It stays once the item has been moved.',
        'cost' => 'Euros for one stock unit: what it is taken to cost where none is in stock, or its standard '
            .'cost.',
        'price' => 'Euros for one stock unit, offered on a new customer line where no price of its level or for all '
            .'stands in the list.',
    ];

    /** @param  array<string, string>  $values  by field */
    private function __construct(
        private array $values,
        public DraftForm $units,
        public DraftForm $sources,
        public DraftForm $called,
        public DraftForm $substitutes,
        public DraftForm $sold,
    ) {
    }

    public static function of(Item $item): self
    {
        $decimal = self::some(...);

        return new self(
            [
                'name' => $item->name,
                'kind' => $item->kind->value,
                'unit_id' => (string) $item->unit_id,
                'tracking' => $item->tracking->value,
                'cover_for' => $item->cover_for,
                'costing' => $item->costing,
                'lot_rule' => $item->lot_rule,
                'category' => $item->category,
                'makers_number' => $item->makers_number,
                'number_rule' => $item->number_rule,
                'description' => $item->description,
                'supplier_id' => (string) $item->supplier_id,
                'lead_time_days' => (string) $item->lead_time_days,
                'minimum_days' => (string) $item->minimum_days,
                ...self::ordered($item),
                'minimum_issue' => $decimal($item->minimum_issue),
                'is_running_out' => $item->is_running_out ? '1' : '0',
                'cost' => $decimal($item->cost),
                'price' => $decimal($item->price),
            ],
            self::unitsOf($item->units),
            SourcesForm::of(SupplierItem::ofItem($item->id)->all()),
            self::calledBy(CalledBy::of($item->id)),
            self::substitutesOf(MayStandIn::for($item->id)),
            self::soldAt(PriceList::of([$item->id])->levels($item->id)),
        );
    }

    /** @return array<string, string> how it is ordered, and what it weighs */
    private static function ordered(Item $item): array
    {
        return [
            'inspection_days' => (string) $item->inspection_days,
            'ordered_by' => $item->ordered_by,
            'reorder_point' => self::some($item->reorder_point),
            'safety_stock' => self::some($item->safety_stock),
            'lot_sizing' => $item->lot_sizing,
            'lot_quantity' => self::some($item->lot_quantity),
            'lot_least' => self::some($item->lot_least),
            'usual_lot' => self::some($item->usual_lot),
            'over_percent' => $item->over_percent === 0 ? '' : (string) $item->over_percent,
            'is_built_for_line' => $item->is_built_for_line ? '1' : '0',
            'is_parts_if_missing' => $item->is_parts_if_missing ? '1' : '0',
            'weight' => self::some($item->weight ?? '0'),
            'volume' => self::some($item->volume ?? '0'),
        ];
    }

    private static function some(string $of): string
    {
        return Amount::plain($of) === '0' ? '' : Amount::plain($of);
    }

    /** A new one; where it is to be like another it begins with all that one says. */
    public static function like(?Item $item): self
    {
        if ($item !== null) {
            return self::of($item)->without('number_rule', 'makers_number'); // those are its own
        }

        return new self(
            [
                'kind' => ItemKind::Bought->value,
                'unit_id' => (string) Unit::usual(),
                'costing' => 'average',
                'lot_rule' => 'oldest',
                'tracking' => 'none',
                'ordered_by' => 'level',
            ],
            self::unitsOf([]),
            SourcesForm::of([]),
            self::calledBy([]),
            self::substitutesOf([]),
            self::soldAt([]),
        );
    }

    /** The number it gets if none is typed; '' = one must be. */
    public function nextNumber(?Item $like): string
    {
        try {
            return $like === null || $like->number_rule === '' ? '' : ItemNumbers::next($like->number_rule);
        } catch (Refused) {
            return ''; // none is left: said when it is sent
        }
    }

    private function without(string ...$fields): self
    {
        return new self(
            array_diff_key($this->values, array_flip($fields)),
            $this->units,
            $this->sources,
            $this->called,
            $this->substitutes,
            $this->sold,
        );
    }

    public function value(string $field): string
    {
        return $this->values[$field] ?? '';
    }

    /** What a field is for. */
    public function help(string $field): string
    {
        return self::HELP[$field];
    }

    /** @return array<string, string> */
    public function kinds(): array
    {
        $labels = fn (ItemKind $kind): string => $kind->label();

        return array_combine(array_column(ItemKind::cases(), 'value'), array_map($labels, ItemKind::cases()));
    }

    /** @return array<string, string> */
    public function lotSizings(): array
    {
        $labels = array_map(fn (LotSizing $rule): string => $rule->label(), LotSizing::cases());

        return array_combine(array_column(LotSizing::cases(), 'value'), $labels);
    }

    /** @return array<string, string> */
    public function trackings(): array
    {
        return ['none' => 'not told apart', 'lot' => 'by lot', 'serial' => 'by serial'];
    }

    /** @return array<string, string> */
    public function coveredFor(): array
    {
        return ['line' => 'for the customer line', 'shelf' => 'for the shelf'];
    }

    /** @return array<string, string> */
    public function costings(): array
    {
        $labels = fn (CostingRule $rule): string => $rule->label();

        return array_combine(array_column(CostingRule::cases(), 'value'), array_map($labels, CostingRule::cases()));
    }

    /** @return array<string, string> */
    public function lotRules(): array
    {
        $labels = fn (LotRule $rule): string => $rule->label();

        return array_combine(array_column(LotRule::cases(), 'value'), array_map($labels, LotRule::cases()));
    }

    /** @return array<int, string> */
    public function stockUnits(): array
    {
        $units = Unit::query()->orderBy('code')->get();

        return $units->mapWithKeys(fn (Unit $unit): array => [$unit->id => "{$unit->code}, {$unit->name}"])->all();
    }

    /** @return array<int|string, string> */
    public function suppliers(): array
    {
        $all = Supplier::query()->whereNull('retired_at')->orderBy('name')->get();

        return ['' => 'none'] + $all->mapWithKeys(fn (Supplier $one): array => [$one->id => $one->name])->all();
    }

    /** @return list<string> those there are, to be typed again */
    public function categories(): array
    {
        $all = DB::table('items')->where('category', '<>', '')->distinct()->orderBy('category')->pluck('category');

        return array_values(array_filter($all->all(), is_string(...)));
    }

    /** @return array<string, array{string, int, string}> what a field is called, its width, what stands in it empty */
    public function substituteFields(): array
    {
        return [
            'item' => ['Item that may stand in', 14, ''],
            'p' => ['For one so many', 4, '1'],
            'q' => ['Divided by', 4, '1'],
            'until' => ['Until', 9, 'for good'],
        ];
    }

    /** @param  iterable<MayStandIn>  $all */
    private static function substitutesOf(iterable $all): DraftForm
    {
        $rows = [];
        foreach ($all as $one) {
            $rows[] = [
                'item' => $one->number,
                'p' => (string) $one->p,
                'q' => $one->q === 1 ? '' : (string) $one->q,
                'until' => (string) $one->until,
            ];
        }
        $empty = ['item' => '', 'p' => '', 'q' => '', 'until' => ''];

        return DraftForm::of($rows, $empty, more: 1, list: 'substitutes');
    }

    /** @return list<string> price levels there are, to be typed again */
    public function levels(): array
    {
        return PriceLevels::all();
    }

    /** @param  array<LevelPrices>  $levels */
    private static function soldAt(array $levels): DraftForm
    {
        $rows = array_map(
            fn (LevelPrices $one): array => ['level' => $one->level, 'prices' => $one->breaks->written()],
            array_values($levels),
        );

        return DraftForm::of($rows, ['level' => '', 'prices' => ''], more: 1, list: 'sold');
    }

    /** @param  iterable<CalledBy>  $called */
    private static function calledBy(iterable $called): DraftForm
    {
        $rows = [];
        foreach ($called as $one) {
            $rows[] = ['customer' => (string) $one->customerId, 'number' => $one->number];
        }
        $names = Customer::offered()->all();

        return DraftForm::of($rows, ['customer' => '', 'number' => ''], ['customer' => $names], 1, 'called');
    }

    /** @param  iterable<ItemUnit>  $units */
    private static function unitsOf(iterable $units): DraftForm
    {
        $rows = [];
        foreach ($units as $one) {
            $rows[] = ['unit' => $one->unit->code, 'p' => (string) $one->p, 'q' => (string) $one->q];
        }

        return DraftForm::of($rows, ['unit' => '', 'p' => '', 'q' => ''], more: 1, list: 'units');
    }
}
