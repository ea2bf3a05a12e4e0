<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Items, units, structures, routings, work centres, calendars, customers, suppliers. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('units', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 12)->unique();
            $table->string('name', 40);
            $table->unsignedTinyInteger('decimals')->default(0);
            $table->string('rec20', 3)->default('');
        });
        foreach (['customers', 'suppliers'] as $name) {
            Schema::create($name, function (Blueprint $table): void {
                $table->id();
                $table->string('number', 20)->unique();
                $table->string('name', 80);
                $table->string('contact', 80)->default('');
                $table->string('address', 200)->default('');
            });
        }
        Schema::create('calendars', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
        });
        Schema::create('shifts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('calendar_id')->constrained();
            $table->unsignedTinyInteger('weekday');
            $table->char('from_time', 5);
            $table->char('to_time', 5);
            $table->boolean('is_break')->default(false);
            $table->unique(['calendar_id', 'weekday', 'from_time', 'is_break']);
        });
        Schema::create('calendar_days', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('calendar_id')->constrained();
            $table->date('date');
            $table->string('kind', 10); // closed, overtime
            $table->char('from_time', 5)->default('');
            $table->char('to_time', 5)->default('');
            $table->string('name', 60)->default('');
            $table->unique(['calendar_id', 'date', 'kind', 'from_time']);
        });
        Schema::create('work_centres', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 60);
            $table->foreignId('calendar_id')->constrained();
            $table->unsignedSmallInteger('machines')->default(1);
            $table->decimal('labour_rate', 12, 4)->default(0); // euros per labour hour
            $table->decimal('machine_rate', 12, 4)->default(0); // euros per machine hour
            $table->decimal('overhead_percent', 8, 4)->default(0); // of labour
        });
        Schema::create('items', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 40)->unique();
            $table->string('name', 100);
            $table->string('kind', 12);
            $table->foreignId('unit_id')->constrained();
            $table->string('tracking', 8)->default('none');
            $table->string('cover_for', 8)->default('line');
            $table->foreignId('supplier_id')->nullable()->constrained();
            $table->unsignedSmallInteger('lead_days')->default(0);
            $table->decimal('reorder_point', 18, 6)->default(0);
            $table->decimal('safety_stock', 18, 6)->default(0);
            $table->decimal('cost', 18, 6)->default(0); // euros per stock unit, for planning
            $table->decimal('price', 18, 6)->default(0); // euros per stock unit, to customers
        });
        Schema::create('item_units', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained();
            $table->foreignId('unit_id')->constrained();
            $table->unsignedBigInteger('p'); // one of this unit is p/q stock units
            $table->unsignedBigInteger('q');
            $table->unique(['item_id', 'unit_id']);
        });
        foreach (['structures', 'routings'] as $name) {
            Schema::create($name, function (Blueprint $table): void {
                $table->id();
                $table->foreignId('item_id')->constrained();
                $table->string('revision', 12);
                $table->string('status', 10)->default('approved'); // draft, approved
                $table->date('effective_from')->nullable();
                $table->unique(['item_id', 'revision']);
            });
        }
        Schema::create('structure_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('structure_id')->constrained();
            $table->unsignedInteger('position');
            $table->foreignId('item_id')->constrained();
            $table->decimal('quantity', 18, 6);
            $table->foreignId('unit_id')->constrained();
            $table->string('basis', 6)->default('unit');
            $table->decimal('scrap_percent', 7, 4)->default(0);
            $table->unsignedInteger('step_number')->nullable();
            $table->string('designators', 200)->default('');
            $table->unique(['structure_id', 'position']);
        });
        Schema::create('routing_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('routing_id')->constrained();
            $table->unsignedInteger('number');
            self::stepColumns($table);
            $table->unique(['routing_id', 'number']);
        });
    }

    /** What a routing step and its copy on an order have in common. */
    public static function stepColumns(Blueprint $table): void
    {
        $table->string('name', 60);
        $table->foreignId('work_centre_id')->nullable()->constrained();
        $table->foreignId('supplier_id')->nullable()->constrained(); // set: done outside
        $table->decimal('setup_minutes', 10, 2)->default(0);
        $table->string('run_basis', 16)->default('min_per_unit');
        $table->decimal('run_rate', 14, 6)->default(0);
        $table->decimal('batch', 14, 6)->default(1);
        $table->unsignedSmallInteger('crew')->default(1); // people while it runs; 0 = unattended
        $table->unsignedInteger('wait_minutes')->default(0); // elapsed, closed time too
        $table->unsignedInteger('move_minutes')->default(0); // open time
        $table->unsignedSmallInteger('lead_days')->default(0); // outside: elapsed days
        $table->decimal('price', 18, 6)->default(0); // outside: euros per piece
        $table->string('instructions', 500)->default('');
    }
};
