<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a sub-assembly is not there, its parts go in: by its item, not only by a person. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('items', 'is_parts_if_missing') ?: Schema::table(
            'items',
            fn (Blueprint $table) => $table->boolean('is_parts_if_missing')->default(false)->after('is_built_for_line'),
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
