<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a plan was computed from is kept under a key of its own: a deed that changes no fact writes the plan anew, not
 * that.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plans', function (Blueprint $table): void {
            $table->string('input', 20)->default('')->after('stamp');
        });
        DB::table('plans')->update(['input' => DB::raw('stamp')]);
    }
};
