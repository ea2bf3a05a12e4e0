<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What people do with plans: moves, pins, what-ifs, searches, held promises; and when machines and people are not
 * there.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plans', function (Blueprint $table): void {
            // new with each writing: what was computed from it is kept under it
            $table->string('stamp', 20)->default('');
            $table->foreignId('change_id')->nullable(); // the last deed of a person on it
            $table->json('levers')->nullable(); // of a what-if: what is taken to be otherwise than the facts
            $table->string('says', 300)->default('');
            $table->foreignId('user_id')->nullable()->constrained();
            $table->dateTime('made_at')->nullable();
        });
        Schema::create('plan_pins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained();
            $table->foreignId('order_step_id')->constrained();
            $table->foreignId('work_centre_id')->constrained();
            $table->unsignedSmallInteger('machine');
            $table->dateTime('start_at');
            $table->unique(['plan_id', 'order_step_id']);
        });
        // one row for each deed on a plan, with what stood before it; taken back by the board's undo
        Schema::create('plan_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->binary('before'); // the arrangement, as packed by Arrangement
            $table->binary('after')->nullable(); // set when it is undone, for the redo
            $table->json('facts'); // what going live changed besides the plan
            $table->boolean('is_undone')->default(false);
            $table->index(['plan_id', 'is_undone']);
        });
        // a year's arrangement packed is some 30 kB, ten years ahead of it still below 16 MB
        Illuminate\Support\Facades\DB::statement(
            'ALTER TABLE plan_changes MODIFY `before` MEDIUMBLOB NOT NULL, MODIFY `after` MEDIUMBLOB NULL',
        );
        // what a booking did to the dates: said where the deed was done and on the board
        Schema::create('plan_effects', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->unique()->constrained();
            $table->json('late'); // order id: minutes late it became
            $table->json('saved'); // order ids in time again
        });
        Schema::create('searches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('plan_id')->nullable()->constrained(); // the what-if it came to
            $table->foreignId('facts_id')->nullable()->constrained('bookings'); // the facts it searched over
            $table->string('state', 10)->default('waiting'); // waiting, running, done, stopped, failed
            $table->boolean('stop')->default(false);
            $table->unsignedSmallInteger('seconds');
            $table->unsignedInteger('seed');
            $table->unsignedInteger('moved_weight')->default(0);
            $table->unsignedInteger('iterations')->default(0);
            $table->unsignedBigInteger('cost_before')->default(0); // weighted open minutes late
            $table->unsignedBigInteger('cost')->default(0);
            $table->decimal('ran', 8, 1)->default(0); // seconds
            $table->dateTime('started_at')->nullable();
            $table->timestamps();
        });
        foreach (['people', 'downtimes', 'overtimes', 'absences'] as $name) {
            Schema::create($name, function (Blueprint $table) use ($name): void {
                $table->id();
                if ($name === 'people') {
                    $table->string('number', 20)->unique();
                    $table->string('name', 80);
                    $table->foreignId('work_centre_id')->constrained();
                    $table->foreignId('calendar_id')->constrained();
                    $table->boolean('is_there')->default(true);

                    return;
                }
                if ($name === 'absences') {
                    $table->foreignId('person_id')->constrained('people');
                } else {
                    $table->foreignId('work_centre_id')->constrained();
                }
                if ($name === 'downtimes') {
                    $table->unsignedSmallInteger('machine');
                }
                $table->dateTime('from_at');
                $table->dateTime('until_at')->nullable(); // null: nobody knows
                $table->string('reason', 200)->default('');
                $table->foreignId('booking_id')->constrained();
                $table->dateTime('ended_at')->nullable(); // set when it is over, or was an error
            });
        }
        Schema::create('calendar_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('calendar_id')->constrained();
            $table->json('before');
            $table->json('after');
        });
        Schema::create('promises', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('item_id')->constrained();
            $table->decimal('quantity', 18, 6);
            $table->string('for', 80)->default(''); // whom it is promised to, as typed
            $table->dateTime('finish_at');
            $table->dateTime('held_until');
            $table->dateTime('released_at')->nullable();
            $table->json('jobs'); // the capacity it keeps: jobs with their steps, and where each stands
        });
        foreach (['routing_steps', 'order_steps'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->string('family', 30)->default(''); // setup family
                // other work centres: "SAW2|BENCH:150" with the time in percent
                $table->string('alternatives', 120)->default('');
            });
        }
        Schema::table('order_steps', function (Blueprint $table): void {
            $table->decimal('transfer_quantity', 18, 6)->nullable(); // so many are passed on before the rest is done
        });
    }
};
