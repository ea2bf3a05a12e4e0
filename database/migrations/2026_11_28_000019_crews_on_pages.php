<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who works where is kept on a page: a change of what another saw is told. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('people', 'version') ?: Schema::table('people', function (Blueprint $people): void {
            $people->unsignedInteger('version')->default(1);
        });
    }
};
