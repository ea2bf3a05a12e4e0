<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Codes, numbers and logins get a folded key beside them that the database makes and that alone is unique: the
 * collation took 'É1' for 'E1' and one emoji for another, the code did not. Tokens are compared to the letter.
 */
return new class extends Migration
{
    private const CODES = [
        'units' => ['code', 12],
        'customers' => ['number', 20],
        'suppliers' => ['number', 20],
        'calendars' => ['code', 20],
        'work_centres' => ['code', 20], 'items' => ['number', 40], 'places' => ['code', 20], 'people' => ['number', 20],
        'users' => ['login', 60],
        'customer_orders' => ['number', 30],
        'orders' => ['number', 30],
        'purchases' => ['number', 30],
        'purchase_orders' => ['number', 30],
    ];

    public function up(): void
    {
        foreach (self::CODES as $table => [$column, $length]) {
            DB::statement(
                "ALTER TABLE {$table} "
                    .self::key($column, $length)
                    .", ADD UNIQUE {$table}_{$column}_key_unique ({$column}_key), DROP INDEX {$table}_{$column}_unique",
            );
        }
        foreach ([
            'lots' => ['code', 60],
            'structures' => ['revision', 12],
            'routings' => ['revision', 12],
        ] as $table => [$column, $length]) {
            // the new index first: the key of item_id leans on one that begins with it
            DB::statement(
                "ALTER TABLE {$table} "
                    .self::key($column, $length)
                    .", ADD UNIQUE {$table}_item_id_{$column}_key_unique (item_id, {$column}_key)",
            );
            DB::statement("ALTER TABLE {$table} DROP INDEX {$table}_item_id_{$column}_unique");
        }
        DB::statement('ALTER TABLE lots ADD INDEX lots_code_key_index (code_key)');
        foreach (['bookings', 'slips'] as $table) {
            DB::statement(
                "ALTER TABLE {$table} MODIFY token VARCHAR(64) "
                    .'CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL',
            );
        }
    }

    private static function key(string $column, int $length): string
    {
        return "ADD COLUMN {$column}_key VARCHAR({$length}) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin "
            ."AS (LOWER({$column})) STORED AFTER {$column}";
    }
};
