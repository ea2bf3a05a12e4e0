<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Customer orders, production orders with their copied structure and routing, cover, purchases, numbers. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('numberings', function (Blueprint $table): void {
            $table->string('code', 30)->primary();
            $table->string('prefix', 20)->default('');
            $table->unsignedBigInteger('next');
        });
        Schema::create('customer_orders', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 30)->unique();
            $table->foreignId('customer_id')->constrained();
            $table->string('reference', 60)->default('');
            $table->string('ship_to', 200)->default('');
            $table->date('ordered_on');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });
        Schema::create('customer_order_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('customer_order_id')->constrained();
            $table->unsignedInteger('position');
            $table->foreignId('item_id')->constrained();
            $table->decimal('quantity', 18, 6); // stock unit
            $table->decimal('typed_quantity', 18, 6);
            $table->foreignId('typed_unit_id')->constrained('units');
            $table->decimal('price', 18, 6)->default(0); // euros per stock unit
            $table->date('promised_on');
            $table->decimal('shipped_quantity', 18, 6)->default(0);
            $table->decimal('cancelled_quantity', 18, 6)->default(0);
            $table->boolean('is_open')->default(true); // something still to ship
            $table->unique(['customer_order_id', 'position']);
            $table->index(['is_open', 'promised_on']);
        });
        Schema::create('orders', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 30)->unique();
            $table->foreignId('item_id')->constrained();
            $table->decimal('quantity', 18, 6);
            $table->string('state', 10)->default('firm');
            $table->boolean('is_held')->default(false);
            $table->foreignId('structure_id')->nullable()->constrained();
            $table->foreignId('routing_id')->nullable()->constrained();
            $table->date('due_on')->nullable();
            $table->unsignedInteger('rank')->default(500); // smaller goes first
            $table->foreignId('for_order_id')->nullable()->constrained('orders');
            $table->unsignedBigInteger('made_by_id')->nullable()->index(); // the booking that made it
            $table->foreignId('place_id')->nullable();
            $table->dateTime('released_at')->nullable();
            $table->foreignId('released_by')->nullable()->constrained('users');
            $table->string('short_reason', 200)->nullable();
            foreach (['material', 'labour', 'machine', 'overhead', 'outside'] as $kind) {
                $table->bigInteger("planned_{$kind}")->default(0); // cents, frozen at release
            }
            $table->decimal('received_quantity', 18, 6)->default(0);
            $table->bigInteger('received_value')->default(0);
            $table->dateTime('closed_at')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->index(['state', 'due_on']);
            $table->index(['item_id', 'state']);
        });
        Schema::create('order_components', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->unsignedInteger('position');
            $table->foreignId('item_id')->constrained();
            $table->unsignedInteger('step_number');
            $table->foreignId('structure_line_id')->nullable()->constrained(); // null: added on the order
            $table->decimal('baseline_quantity', 18, 6); // as the master had it
            $table->decimal('planned_quantity', 18, 6);
            $table->bigInteger('planned_value')->default(0); // cents, frozen at release
            $table->decimal('used_quantity', 18, 6)->default(0);
            $table->bigInteger('used_value')->default(0);
            $table->index('item_id');
        });
        Schema::create('order_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->unsignedInteger('number');
            $table->foreignId('routing_step_id')->nullable()->constrained();
            (require __DIR__.'/2026_01_01_000002_create_product_data_tables.php')::stepColumns($table);
            $table->unsignedInteger('baseline_minutes');
            $table->unsignedInteger('planned_minutes');
            $table->decimal('labour_rate', 12, 4)->nullable(); // frozen at release
            $table->decimal('machine_rate', 12, 4)->nullable();
            $table->decimal('overhead_percent', 8, 4)->nullable();
            $table->decimal('taken_in', 18, 6)->default(0);
            $table->decimal('good', 18, 6)->default(0);
            $table->decimal('scrap', 18, 6)->default(0);
            $table->decimal('passed_on', 18, 6)->default(0);
            $table->unsignedInteger('booked_minutes')->default(0); // machine minutes reported
            $table->dateTime('started_at')->nullable();
            $table->foreignId('started_by')->nullable()->constrained('users');
            $table->unique(['order_id', 'number']);
            $table->index(['work_centre_id', 'order_id']);
        });
        Schema::create('covers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('line_id')->constrained('customer_order_lines');
            $table->foreignId('item_id')->constrained();
            $table->foreignId('order_id')->nullable()->constrained(); // null: from stock
            $table->string('supply', 24); // "stock" or "order:12": NULLs would repeat in a unique index
            $table->decimal('quantity', 18, 6)->default(0);
            $table->unique(['line_id', 'supply']);
            $table->index(['item_id', 'supply']);
        });
        Schema::create('purchases', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 30)->unique();
            $table->foreignId('supplier_id')->constrained();
            $table->foreignId('item_id')->constrained();
            $table->decimal('quantity', 18, 6);
            $table->decimal('price', 18, 6); // euros per stock unit
            $table->date('expected_on');
            $table->decimal('received_quantity', 18, 6)->default(0);
            $table->boolean('is_open')->default(true);
            $table->index(['is_open', 'expected_on']);
        });
    }
};
