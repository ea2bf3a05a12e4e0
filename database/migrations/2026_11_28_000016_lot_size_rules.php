<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** An item is ordered by need or by level, never both at once, and in lots by a rule. */
return new class extends Migration
{
    public function up(): void
    {
        if (Schema::hasColumn('items', 'ordered_by')) {
            return;
        }
        Schema::table('items', function (Blueprint $items): void {
            $items->string('lot_sizing', 10)->default('as_needed');
            $items->decimal('lot_quantity', 18, 6)->default(0); // of whole lots, or the multiple
            $items->decimal('lot_least', 18, 6)->default(0);
            $items->string('ordered_by', 5)->default('level'); // at its reorder point, where it has one
        });
    }
};
