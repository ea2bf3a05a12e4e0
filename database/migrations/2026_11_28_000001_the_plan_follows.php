<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The plan follows the bookings: what is not planned yet is a table, what one planning did to the dates is kept by run,
 * and rows of a plan hold no key to what is booked, or writing a plan would wait for whoever holds an order.
 */
return new class extends Migration
{
    private const KEYS = [
        'plan_orders' => ['order_id'],
        'plan_steps' => ['order_step_id', 'work_centre_id'],
        'plan_components' => ['component_id'],
    ];

    public function up(): void
    {
        Schema::create('unplanned', function (Blueprint $table): void {
            $table->foreignId('booking_id')->primary()->constrained();
            $table->dateTime('since', 3)->useCurrent(); // by the database's clock
        });
        Schema::create('planner', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->string('owner', 40)->nullable(); // the process that plans
            $table->dateTime('until', 3)->nullable(); // until then nobody else does, by the database's clock
            $table->string('failure', 300)->default('');
            $table->dateTime('failed_at')->nullable(); // the first of those since it last went well
        });
        DB::table('planner')->insert(['id' => 1]);
        Schema::create('plan_inputs', function (Blueprint $table): void {
            $table->foreignId('plan_id')->primary()->constrained();
            $table->string('facts', 20); // the live plan's input when the shop was read
        });
        DB::statement('ALTER TABLE plan_inputs ADD packed MEDIUMBLOB NOT NULL');
        $this->runs();
        foreach (self::KEYS as $name => $columns) {
            Schema::table($name, function (Blueprint $table) use ($columns): void {
                foreach ($columns as $column) {
                    $table->dropForeign([$column]);
                }
            });
        }
    }

    private function runs(): void
    {
        Schema::create('plan_runs', function (Blueprint $table): void {
            $table->id();
            $table->dateTime('made_at');
            $table->json('late'); // order id: minutes late it became
            $table->json('saved'); // order ids in time again
        });
        Schema::create('plan_run_bookings', function (Blueprint $table): void {
            $table->foreignId('booking_id')->primary()->constrained();
            $table->foreignId('plan_run_id')->constrained();
        });
        DB::statement(
            'INSERT INTO plan_runs (id, made_at, late, saved)
            SELECT e.id, b.entered_at, e.late, e.saved FROM plan_effects e JOIN bookings b ON b.id = e.booking_id',
        );
        DB::statement(
            'INSERT INTO plan_run_bookings (booking_id, plan_run_id) SELECT booking_id, id FROM plan_effects',
        );
        Schema::drop('plan_effects');
    }
};
