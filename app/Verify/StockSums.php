<?php

namespace App\Verify;

use Illuminate\Support\Facades\DB;

/**
 * What the moves say of each place, lot, condition and owner, summed in one pass for all rules of stock: a year of a
 * shop is a million moves, and each pass over them takes seconds. In a table of this connection alone.
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

    public static function make(): void
    {
        foreach (self::SETTINGS as $setting => $value) {
            DB::statement("SET SESSION {$setting} = {$value}");
        }
        DB::statement(<<<'SQL'
            CREATE TEMPORARY TABLE verify_stock (INDEX (item_id, place_id, lot_id, `condition`, owner_id)) AS
            SELECT item_id, place_id, lot_id, `condition`, owner_id,
                SUM(quantity) AS quantity, SUM(value) AS value, MIN(running) AS lowest
            FROM (
                SELECT x.*,
                    SUM(quantity) OVER (
                        PARTITION BY item_id, place_id, lot_id, `condition`, owner_id
                        ORDER BY id, quantity
                        ROWS UNBOUNDED PRECEDING
                    ) AS running
                FROM (
                    SELECT m.id, m.item_id, m.to_place_id AS place_id, m.lot_id, m.to_condition AS `condition`,
                        m.owner_id, m.quantity, m.value
                    FROM moves m
                    JOIN places p ON p.id = m.to_place_id AND p.kind IN ('store', 'supplier')
                    UNION ALL
                    SELECT m.id, m.item_id, m.from_place_id, m.lot_id, m.from_condition,
                        m.owner_id, -m.quantity, -m.value
                    FROM moves m
                    JOIN places p ON p.id = m.from_place_id AND p.kind IN ('store', 'supplier')
                ) x
            ) r
            GROUP BY item_id, place_id, lot_id, `condition`, owner_id
            SQL);
    }

    public static function drop(): void
    {
        DB::statement('DROP TEMPORARY TABLE IF EXISTS verify_stock');
        foreach (array_keys(self::SETTINGS) as $setting) {
            DB::statement("SET SESSION {$setting} = DEFAULT");
        }
    }
}
