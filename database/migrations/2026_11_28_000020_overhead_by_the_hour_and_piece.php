<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a work centre costs on top, by the hour it runs and by the piece; a released order keeps what held then. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('work_centres', 'overhead_hour') ?: Schema::table(
            'work_centres',
            function (Blueprint $centres): void {
                $centres->decimal('overhead_hour', 12, 4)->default(0); // euros per machine hour
                $centres->decimal('overhead_piece', 12, 4)->default(0); // euros per piece counted, scrap too
            },
        );
        Schema::hasColumn('order_steps', 'overhead_hour') ?: Schema::table(
            'order_steps',
            function (Blueprint $steps): void {
                $steps->decimal('overhead_hour', 12, 4)->nullable(); // null before release, and of an outside step
                $steps->decimal('overhead_piece', 12, 4)->nullable();
            },
        );
    }
};
