<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a service is done is some days away, there and back; steps say theirs already. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('supplier_items', 'transport_days') ?: Schema::table(
            'supplier_items',
            function (Blueprint $table): void {
                $table->unsignedSmallInteger('transport_days')->default(0)->after('lead_time_days');
            },
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
