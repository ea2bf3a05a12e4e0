<?php

namespace App\Actions\Product;

use App\Models\Item;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Columns of product data in the words of the trail: what they refer to by its number or code. */
final class LineWords
{
    /** Tables that columns refer to, with what a row of them is called by. */
    private const REFERS = [
        'item_id' => ['items', 'number'],
        'service_item_id' => ['items', 'number'],
        'unit_id' => ['units', 'code'],
        'work_centre_id' => ['work_centres', 'code'],
        'supplier_id' => ['suppliers', 'number'],
        'family_id' => ['families', 'code'],
        'calendar_id' => ['calendars', 'code'],
    ];

    private const FIELDS = [
        'item_id' => 'component',
        'service_item_id' => 'service',
        'unit_id' => 'unit',
        'work_centre_id' => 'work centre',
        'supplier_id' => 'supplier',
        'family_id' => 'family',
        'calendar_id' => 'calendar',
        'is_running_out' => 'running out',
        'is_built_for_line' => 'built as it is shipped',
        'is_parts_if_missing' => 'its parts if it is not there',
        'has_changeovers' => 'changeovers',
        'step_number' => 'step',
        'scrap_percent' => 'scrap %',
        'ways' => 'or at',
        'transfer_quantity' => 'passed on in lots of',
        'is_whole_only' => 'whole orders only',
        'finish_days' => 'days between finished and shipped',
        'orders_on' => 'takes orders on weekdays',
        'delivers_on' => 'delivers on weekdays',
        'gives' => 'comes back as',
        'share_rule' => 'carries cost',
        'share' => 'value or %',
    ];

    /** Columns that are yes or no. */
    private const YES = [
        'is_running_out',
        'is_built_for_line',
        'is_parts_if_missing',
        'has_changeovers',
        'no_saturdays',
        'may_be_interrupted',
        'is_whole_only',
    ];

    /** @var array<string, string> by "table id" */
    private array $codes = [];

    /** @var array<string, Item|null> by key */
    private array $services = [];

    /** @var array<string, int>|null  id by key */
    private ?array $workCentres = null;

    public function field(string $column): string
    {
        return self::FIELDS[$column] ?? str_replace('_', ' ', $column);
    }

    public function say(string $column, mixed $value): string
    {
        if (in_array($column, self::YES, true)) {
            return $value == 1 ? 'yes' : 'no'; // as the database gives it, or as a file has it
        }
        if (in_array($column, ['gives', 'share_rule'], true)) {
            return is_string($value) ? str_replace('_', ' ', $value) : '';
        }
        $refers = self::REFERS[$column] ?? null;
        if ($refers === null || ! is_numeric($value)) {
            return is_scalar($value) ? (string) $value : '';
        }
        [$table, $code] = $refers;
        $found = fn (): mixed => DB::table($table)->where('id', $value)->value($code);

        return $this->codes["{$table} {$value}"] ??= is_string($is = $found()) ? $is : (string) $value;
    }

    /**
     * A whole line: "2.85 m2 SS-15", "Cut blank at LASER".
     *
     * @param  array<string, mixed>  $row
     */
    public function line(array $row): string
    {
        if (isset($row['item_id'])) {
            $quantity = is_string($row['quantity'] ?? null) ? Amount::plain($row['quantity']) : '';

            $unit = $this->say('unit_id', $row['unit_id']);

            $back = isset($row['gives']) ? ' comes back' : '';

            return trim("{$quantity} {$unit} {$this->say('item_id', $row['item_id'])}{$back}");
        }
        $at = isset($row['supplier_id'])
            ? $this->say('supplier_id', $row['supplier_id'])
            : $this->say('work_centre_id', $row['work_centre_id'] ?? null);

        return $this->say('name', $row['name'] ?? '')." at {$at}";
    }

    /** The item of that number, whatever it is; null = there is none. */
    public function service(string $number): ?Item
    {
        return $number === '' ? null : $this->services[Code::keyOf($number)]
            ??= Item::numbered($number);
    }

    /** @throws Refused when there is no such work centre */
    public function workCentre(string $code): int
    {
        $this->workCentres ??= DB::table('work_centres')
            ->pluck('id', 'code')
            ->mapWithKeys(fn (mixed $id, mixed $code): array => [
                Code::keyOf((string) $code) => is_numeric($id) ? (int) $id : 0,
            ])
            ->all();

        return $this->workCentres[Code::keyOf($code)]
            ?? throw Refused::because('No work centre has the code '.mb_strtoupper($code).'.', 'ways');
    }
}
