<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What is computed from the facts: the live plan. It can be thrown away and made again. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('plans', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60);
            $table->boolean('is_live')->default(false);
            $table->dateTime('computed_at')->nullable();
            $table->foreignId('booking_id')->nullable()->constrained(); // the booking it was brought up to date by
            $table->unsignedInteger('milliseconds')->default(0);
        });
        DB::table('plans')->insert(['name' => 'Live plan', 'is_live' => true]);
        Schema::create('plan_orders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained();
            $table->foreignId('order_id')->constrained();
            $table->dateTime('finish_at')->nullable();
            $table->dateTime('due_at')->nullable();
            $table->integer('late_minutes')->default(0); // open minutes of the plant behind its due time
            $table->unsignedInteger('place_in_rank');
            $table->string('readiness', 10);
            $table->boolean('can_start');
            $table->json('blocks'); // [{step, item, supply, at}]
            $table->string('unplaced', 300)->default('');
            $table->unique(['plan_id', 'order_id']);
        });
        Schema::create('plan_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained();
            $table->foreignId('order_step_id')->constrained();
            $table->dateTime('start_at');
            $table->dateTime('end_at');
            $table->unsignedSmallInteger('machine')->nullable();
            $table->unsignedInteger('minutes'); // from start to end
            $table->unique(['plan_id', 'order_step_id']);
        });
        Schema::create('plan_components', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained();
            $table->foreignId('component_id')->constrained('order_components');
            $table->decimal('from_stock', 18, 6);
            $table->decimal('missing', 18, 6);
            $table->json('coming'); // [{supply, quantity, at}]
            $table->unique(['plan_id', 'component_id']);
        });
    }
};
