<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How many balances each item has is told from an index: the stock list of a shop with 100,000 of them counts them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasIndex('balances', 'balances_item_quantity') ?: Schema::table(
            'balances',
            fn (Blueprint $table) => $table->index(['item_id', 'quantity'], 'balances_item_quantity'),
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
