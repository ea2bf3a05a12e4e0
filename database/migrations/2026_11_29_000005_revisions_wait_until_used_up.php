<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A structure can wait, approved, until a part that it does not take any more is used up. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('structures', 'waits_for_item_id') ?: DB::statement(<<<'SQL'
            ALTER TABLE structures
                ADD waits_for_item_id BIGINT UNSIGNED NULL, -- not in force until this is used up
                ADD FOREIGN KEY (waits_for_item_id) REFERENCES items (id)
            SQL);
    }
};
