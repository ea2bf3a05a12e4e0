<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** By when a part on its way would have to be there for its late order to keep its date. The plan is made anew. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('INSERT IGNORE INTO unplanned (booking_id) SELECT MAX(id) FROM bookings HAVING MAX(id) > 0');
        if (! Schema::hasColumn('plan_components', 'needed_at')) {
            Schema::table('plan_components', function (Blueprint $table): void {
                $table->dateTime('needed_at')->nullable();
            });
        }
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
