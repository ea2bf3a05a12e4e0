<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who booked, proposed, asked or closed something is a person: users are gone since people are one table. */
return new class extends Migration
{
    private const SIGNED = [
        'bookings',
        'imports',
        'periods',
        'plan_changes',
        'plans',
        'promises',
        'searches',
        'slips',
    ];

    public function up(): void
    {
        foreach (self::SIGNED as $table) {
            // the sessions of people who are logged in are the framework's own, and keep its name
            DB::statement(
                "ALTER TABLE {$table} RENAME COLUMN IF EXISTS user_id TO person_id, "
                ."RENAME INDEX IF EXISTS {$table}_user_id_foreign TO {$table}_person_id_foreign",
            );
        }
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
