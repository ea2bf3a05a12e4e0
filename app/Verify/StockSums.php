<?php

namespace App\Verify;

use Illuminate\Support\Facades\DB;
use PDO;

/**
 * What the moves say of each place, lot, condition and owner, summed in one pass in the order they were booked: the
 * lowest it ever was comes with it, which the database can only tell by sorting all of them. A year of a shop is a
 * million moves: 4 s here, 15 s there. In a table of this connection alone.
 */
final class StockSums
{
    /** Sums and sorts in memory and not on the disk, and joins whole tables by hashing one of them. In bytes. */
    private const SETTINGS = [
        'tmp_table_size' => 536_870_912,
        'max_heap_table_size' => 536_870_912,
        'sort_buffer_size' => 536_870_912,
        'join_buffer_size' => 33_554_432,
        'join_buffer_space_limit' => 134_217_728,
        'join_cache_level' => 4,
    ];

    /** Rows written at once. */
    private const AT_ONCE = 2000;

    /** Quantities have six decimals: in millionths they are whole. */
    private const ONE = 1_000_000;

    /** @var array<string, int> millionths by "item,place,lot,'condition',owner" */
    private array $quantity = [];

    /** @var array<string, int> cents */
    private array $value = [];

    /** @var array<string, int> millionths, where it was ever below zero */
    private array $lowest = [];

    private function __construct()
    {
    }

    public static function make(): void
    {
        self::settle();
        $sums = new self;
        $sums->read();
        $sums->write();
    }

    /** Room in memory for large sums, which rules of orders need too. */
    public static function settle(): void
    {
        foreach (self::SETTINGS as $setting => $value) {
            DB::statement("SET SESSION {$setting} = {$value}");
        }
    }

    private function read(): void
    {
        $counts = DB::table('places')->whereIn('kind', ['store', 'supplier'])->pluck('id', 'id')->all();
        $moves = DB::connection()->getPdo()->prepare(
            'SELECT item_id, lot_id, owner_id, from_place_id, from_condition, to_place_id, to_condition,
                CAST(quantity * '.self::ONE.' AS SIGNED), value
            FROM moves ORDER BY id',
            [PDO::MYSQL_ATTR_USE_BUFFERED_QUERY => false], // one after the other: all of them are 200 MB and more
        );
        $moves->execute();
        while (is_array($row = $moves->fetch(PDO::FETCH_NUM))) {
            [$item, $lot, $owner, $from, $fromCondition, $to, $toCondition] = $row;
            [$quantity, $value] = [(int) $row[7], (int) $row[8]];
            if (isset($counts[$from])) {
                $this->add("{$item},{$from},{$lot},'{$fromCondition}',{$owner}", -$quantity, -$value);
            }
            if (isset($counts[$to])) {
                $this->add("{$item},{$to},{$lot},'{$toCondition}',{$owner}", $quantity, $value);
            }
        }
        $moves->closeCursor();
    }

    private function add(string $key, int $quantity, int $value): void
    {
        $is = ($this->quantity[$key] ?? 0) + $quantity;
        $this->quantity[$key] = $is;
        $this->value[$key] = ($this->value[$key] ?? 0) + $value;
        if ($is < 0 && $is < ($this->lowest[$key] ?? 0)) {
            $this->lowest[$key] = $is;
        }
    }

    private function write(): void
    {
        DB::statement(<<<'SQL'
            CREATE TEMPORARY TABLE verify_stock (INDEX (item_id, place_id, lot_id, `condition`, owner_id)) AS
            SELECT item_id, to_place_id AS place_id, lot_id, to_condition AS `condition`, owner_id,
                SUM(quantity) AS quantity, SUM(value) AS value, SUM(quantity) AS lowest
            FROM moves
            WHERE FALSE
            GROUP BY item_id, to_place_id, lot_id, to_condition, owner_id
            SQL);
        foreach (array_chunk($this->quantity, self::AT_ONCE, true) as $some) {
            $rows = [];
            foreach ($some as $key => $quantity) {
                $lowest = $this->lowest[$key] ?? 0;
                $rows[] = "({$key}, {$quantity} / ".self::ONE.", {$this->value[$key]}, {$lowest} / ".self::ONE.')';
            }
            DB::unprepared('INSERT INTO verify_stock VALUES '.implode(', ', $rows));
        }
    }

    public static function drop(): void
    {
        DB::statement('DROP TEMPORARY TABLE IF EXISTS verify_stock');
        foreach (array_keys(self::SETTINGS) as $setting) {
            DB::statement("SET SESSION {$setting} = DEFAULT");
        }
    }
}
