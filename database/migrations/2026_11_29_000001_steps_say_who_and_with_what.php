<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A routing says how many pieces go on together; people say what they are qualified for. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('routing_steps', 'transfer_quantity') ?: Schema::table(
            'routing_steps',
            fn (Blueprint $table) => $table->decimal('transfer_quantity', 18, 6)->nullable(), // null = all at once
        );
        // as they are typed, parted by a bar: "welding|crane"
        Schema::hasColumn('people', 'qualifications') ?: Schema::table(
            'people',
            fn (Blueprint $table) => $table->string('qualifications', 200)->default(''),
        );
    }
};
