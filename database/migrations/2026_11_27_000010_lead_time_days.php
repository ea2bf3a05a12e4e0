<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A lead time is called so. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['items', 'routing_steps', 'order_steps'] as $table) {
            Schema::table($table, fn (Blueprint $of) => $of->renameColumn('lead_days', 'lead_time_days'));
        }
    }
};
