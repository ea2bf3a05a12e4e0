<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Bookings and what each of them did: moves of stock, counts at steps, cost, cover, changes. Append-only. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('places', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 60);
            $table->string('kind', 12); // store, supplier: hold stock; outside, scrap, order, customer: ends of moves
        });
        DB::table('places')->insert([
            ['code' => 'OUTSIDE', 'name' => 'Outside', 'kind' => 'outside'],
            ['code' => 'SCRAP', 'name' => 'Scrap', 'kind' => 'scrap'],
            ['code' => 'ORDERS', 'name' => 'In orders', 'kind' => 'order'],
            ['code' => 'CUSTOMERS', 'name' => 'Customers', 'kind' => 'customer'],
            ['code' => 'STORES', 'name' => 'Stores', 'kind' => 'store'],
        ]);
        Schema::create('lots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained();
            $table->string('code', 60);
            $table->string('supplier_lot', 60)->default('');
            $table->date('expires_on')->nullable();
            $table->unique(['item_id', 'code']);
            $table->index('code');
        });
        Schema::create('bookings', function (Blueprint $table): void {
            $table->id();
            $table->string('token', 64)->unique();
            $table->char('fingerprint', 16)->default(''); // of what was sent under the token
            $table->string('kind', 24);
            $table->foreignId('order_id')->nullable()->constrained();
            $table->foreignId('customer_order_id')->nullable()->constrained();
            $table->string('says', 300)->default('');
            $table->string('reason', 300)->default('');
            $table->dateTime('entered_at');
            $table->date('booked_on');
            $table->foreignId('user_id')->constrained();
            $table->foreignId('worked_by')->nullable()->constrained('users');
            $table->foreignId('reverses_id')->nullable()->unique()->constrained('bookings');
            $table->index(['order_id', 'id']);
            $table->index(['customer_order_id', 'id']);
            $table->index('entered_at');
        });
        Schema::create('moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('item_id')->constrained();
            $table->unsignedBigInteger('lot_id')->default(0); // 0 = no lot
            $table->unsignedBigInteger('owner_id')->default(0); // 0 = us, else a customer
            $table->foreignId('from_place_id')->constrained('places');
            $table->string('from_condition', 10)->default('free');
            $table->foreignId('to_place_id')->constrained('places');
            $table->string('to_condition', 10)->default('free');
            $table->decimal('quantity', 18, 6); // stock unit, 0 where only value moves
            $table->bigInteger('value'); // cents
            $table->decimal('typed_quantity', 18, 6)->nullable();
            $table->foreignId('typed_unit_id')->nullable()->constrained('units');
            $table->foreignId('order_id')->nullable()->constrained();
            $table->foreignId('component_id')->nullable()->constrained('order_components');
            $table->foreignId('line_id')->nullable()->constrained('customer_order_lines');
            $table->foreignId('purchase_id')->nullable()->constrained();
            $table->index(['item_id', 'id']);
            $table->index(['lot_id', 'id']);
            $table->index(['order_id', 'id']);
        });
        Schema::create('balances', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained();
            $table->foreignId('place_id')->constrained();
            $table->unsignedBigInteger('lot_id')->default(0);
            $table->string('condition', 10)->default('free');
            $table->unsignedBigInteger('owner_id')->default(0);
            $table->decimal('quantity', 18, 6)->default(0);
            $table->bigInteger('value')->default(0);
            $table->unique(['item_id', 'place_id', 'lot_id', 'condition', 'owner_id'], 'balances_key');
        });
        DB::statement('ALTER TABLE balances ADD CONSTRAINT balances_not_negative CHECK (quantity >= 0 AND value >= 0)');
        Schema::create('step_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('order_step_id')->constrained();
            $table->decimal('taken_in', 18, 6)->default(0);
            $table->decimal('good', 18, 6)->default(0);
            $table->decimal('scrap', 18, 6)->default(0);
            $table->decimal('passed_on', 18, 6)->default(0);
            $table->integer('labour_minutes')->default(0);
            $table->integer('machine_minutes')->default(0);
        });
        Schema::create('cost_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('order_id')->constrained();
            $table->string('kind', 12); // material, labour, machine, overhead, outside; receipt, variance
            $table->bigInteger('cents'); // put into the order; negative when taken out
            $table->foreignId('order_step_id')->nullable()->constrained();
            $table->index(['order_id', 'kind']);
        });
        Schema::create('cover_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('cover_id')->constrained();
            $table->decimal('quantity', 18, 6);
        });
        Schema::create('order_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('order_id')->constrained();
            $table->string('what', 80); // "step 20, setup minutes"
            $table->string('before', 120)->default('');
            $table->string('after', 120)->default('');
        });
    }
};
