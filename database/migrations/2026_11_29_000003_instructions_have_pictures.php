<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * An item can be a pattern for others, which are numbered by its rule. A file on an item can be the instruction of a
 * step of its routing, by the number of the step.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('attachments', 'step_number') ?: DB::statement(<<<'SQL'
            ALTER TABLE attachments
                MODIFY kind ENUM('picture', 'drawing', 'certificate', 'other', 'instruction') NOT NULL,
                ADD step_number SMALLINT UNSIGNED NULL -- of an item's routing; NULL = all of it
            SQL);
        Schema::hasColumn('items', 'number_rule') ?: Schema::table(
            'items',
            // such as "BRK-####"; '' = it is no pattern
            fn (Blueprint $table) => $table->string('number_rule', 40)->default(''),
        );
    }
};
