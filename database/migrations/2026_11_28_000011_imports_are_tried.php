<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** An import can be tried first: what it would do is told line by line, and nothing is written. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('imports', 'is_trial') ?: Schema::table('imports', function (Blueprint $table): void {
            $table->boolean('is_trial')->default(false);
            $table->longText('changes')->nullable(); // JSON: [{record, field, before, after}]
            $table->unsignedInteger('change_count')->default(0);
        });
    }
};
