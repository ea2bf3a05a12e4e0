<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The row whose lock guards all balances, values, layers, promises and reservations of an item. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('item_stock', function (Blueprint $table): void {
            $table->foreignId('item_id')->primary()->constrained();
        });
        DB::statement('INSERT INTO item_stock (item_id) SELECT id FROM items');
        DB::statement('ALTER TABLE covers ADD CONSTRAINT covers_not_negative CHECK (quantity >= 0)');
        DB::statement('ALTER TABLE reservations ADD CONSTRAINT reservations_not_negative CHECK (quantity >= 0)');
    }
};
