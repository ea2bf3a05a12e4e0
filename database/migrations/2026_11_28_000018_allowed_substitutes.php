<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which items may stand in for an item, in which order, by which ratio and until when. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('item_substitutes') ?: DB::statement(<<<'SQL'
            CREATE TABLE item_substitutes (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                item_id BIGINT UNSIGNED NOT NULL,
                substitute_id BIGINT UNSIGNED NOT NULL,
                position SMALLINT UNSIGNED NOT NULL, -- the first is taken first
                p BIGINT UNSIGNED NOT NULL, -- p / q stock units of it stand in for one of the item
                q BIGINT UNSIGNED NOT NULL,
                until_on DATE NULL,
                UNIQUE KEY item_substitutes_once (item_id, substitute_id),
                FOREIGN KEY (item_id) REFERENCES items (id),
                FOREIGN KEY (substitute_id) REFERENCES items (id),
                CONSTRAINT item_substitutes_right CHECK (item_id <> substitute_id AND p > 0 AND q > 0)
            )
            SQL);
    }
};
