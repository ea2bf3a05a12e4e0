<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What was planned by hand says how it goes with the order's pieces; what was planned before stays as it is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('order_components', 'hand_beside') ?: DB::statement(<<<'SQL'
            ALTER TABLE order_components
                ADD hand_ratio_p DECIMAL(38, 0) NULL, -- p/q stock units a piece, by hand; NULL: as copied
                ADD hand_ratio_q DECIMAL(38, 0) NULL,
                ADD hand_beside DECIMAL(18, 6) NULL, -- and so many beside, whatever the pieces are
                ADD CONSTRAINT order_components_hand CHECK (
                    (hand_ratio_p IS NULL AND hand_ratio_q IS NULL AND hand_beside IS NULL)
                    OR (hand_ratio_p >= 0 AND hand_ratio_q > 0 AND hand_beside IS NOT NULL)
                )
            SQL);
        // more planned than the copy says, and all of it used: less was made than was issued for
        DB::statement(<<<'SQL'
            UPDATE order_components
            SET hand_ratio_p = 0, hand_ratio_q = 1, hand_beside = planned_quantity
            WHERE hand_beside IS NULL AND planned_quantity <> baseline_quantity
                AND (ratio_p IS NULL OR planned_quantity < baseline_quantity OR planned_quantity <> used_quantity)
            SQL);
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
