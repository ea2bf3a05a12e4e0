<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** An order can be loaded as late as its date allows. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('orders', 'is_loaded_late') ?: Schema::table(
            'orders',
            fn (Blueprint $table) => $table->boolean('is_loaded_late')->default(false),
        );
    }
};
