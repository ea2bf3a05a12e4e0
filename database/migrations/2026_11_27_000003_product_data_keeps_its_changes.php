<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who changed what of the product data from what to what, by page or by file: with the booking of the deed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('product_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->string('kind', 20); // items, work_centres, structures …
            $table->unsignedBigInteger('record_id');
            $table->string('record', 80); // as people call it: "EX-9E revision B"
            $table->string('field', 60);
            $table->string('before', 200)->default('');
            $table->string('after', 200)->default('');
            $table->index(['kind', 'record_id']);
        });
        // what an import came to may have to say what could not be brought up to date with it
        Schema::table('imports', fn (Blueprint $table) => $table->string('doing', 300)->default('')->change());
    }
};
