<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Keeping a sequence needs to know on which work centre a machine was; and a run begins when the setup is done. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plan_steps', function (Blueprint $table): void {
            $table->foreignId('work_centre_id')->nullable()->after('order_step_id')->constrained();
            $table->dateTime('run_at')->nullable()->after('start_at');
        });
    }
};
