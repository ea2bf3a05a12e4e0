<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Value of stock by costing rule, hard reservations, purchase orders with lines, usage slips, questions, periods. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('items', function (Blueprint $table): void {
            $table->string('costing', 8)->default('average'); // average, fifo, standard, own
            $table->decimal('minimum_issue', 18, 6)->default(0); // is issued in multiples of this; 0 = any
            $table->string('lot_rule', 8)->default('oldest'); // oldest, expiry, ask
            $table->unsignedSmallInteger('minimum_days')->default(0); // a lot has so many days left when it is issued
        });
        foreach (['structure_lines', 'order_components'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->string('issue_by', 9)->default('hand'); // hand, backflush
                $table->string('supplied_by', 8)->default('us'); // us, customer
            });
        }
        Schema::table('order_components', function (Blueprint $table): void {
            // a substitute, for this one
            $table->foreignId('stands_for_id')->nullable()->constrained('order_components');
            $table->decimal('replaced_quantity', 18, 6)->default(0); // used of what stands in for it
        });
        Schema::table('orders', function (Blueprint $table): void {
            $table->foreignId('remake_of_id')->nullable()->constrained('orders');
            $table->foreignId('split_from_id')->nullable()->constrained('orders');
            $table->foreignId('owner_id')->nullable()->constrained('customers'); // whose own material it may take
        });
        $this->value();
        $this->purchases();
        $this->slips();
        Schema::create('reservations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->foreignId('item_id')->constrained();
            $table->unsignedBigInteger('lot_id')->default(0); // 0 = any
            $table->decimal('quantity', 18, 6)->default(0);
            $table->unique(['order_id', 'item_id', 'lot_id']);
            $table->index('item_id');
        });
        Schema::create('reservation_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('reservation_id')->constrained();
            $table->decimal('quantity', 18, 6);
        });
        Schema::create('questions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained(); // that opened it
            $table->string('kind', 20);
            $table->string('says', 300);
            $table->foreignId('order_id')->nullable()->constrained();
            $table->foreignId('component_id')->nullable()->constrained('order_components');
            $table->decimal('quantity', 18, 6)->default(0); // asked for
            $table->decimal('open_quantity', 18, 6)->default(0); // of it still to be booked
            $table->string('role', 20); // who is asked
            $table->dateTime('opened_at');
            $table->dateTime('answered_at')->nullable();
            $table->foreignId('answered_by')->nullable()->constrained('users');
            $table->string('answer', 300)->default('');
            $table->foreignId('answer_booking_id')->nullable()->constrained('bookings');
            $table->index(['answered_at', 'opened_at']);
        });
        Schema::create('periods', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->date('ends_on')->unique(); // nothing is booked on this day or before it any more
            $table->unsignedBigInteger('last_booking_id'); // the newest one when it was closed
            $table->dateTime('closed_at');
            $table->foreignId('user_id')->constrained();
        });
        DB::table('numberings')->insert(['code' => 'period', 'next' => 1]); // closing one waits for bookings under way
        Schema::table('moves', function (Blueprint $table): void {
            $table->foreignId('reverses_id')->nullable()->unique()->constrained('moves');
            $table->string('scrap_class', 12)->default('');
            $table->string('reason', 200)->default(''); // of this line alone
            $table->index('component_id');
        });
        DB::table('places')->insert([
            ['code' => 'VARIANCE', 'name' => 'Variance', 'kind' => 'variance'],
            ['code' => 'BETWEEN', 'name' => 'Between orders', 'kind' => 'between'],
        ]);
    }

    /** Quantity lies in balances, value in the pool its item's costing rule makes of them. */
    private function value(): void
    {
        Schema::create('stock_values', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained();
            $table->unsignedBigInteger('lot_id')->default(0); // own cost: by lot; else 0, all of the item
            $table->decimal('quantity', 18, 6)->default(0);
            $table->bigInteger('value')->default(0); // cents
            $table->unique(['item_id', 'lot_id']);
        });
        DB::statement(
            'ALTER TABLE stock_values ADD CONSTRAINT stock_values_not_negative CHECK (quantity >= 0 AND value >= 0)',
        );
        Schema::create('cost_layers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained();
            $table->foreignId('move_id')->unique()->constrained(); // that brought it in
            $table->decimal('left_quantity', 18, 6);
            $table->bigInteger('left_value');
            $table->index(['item_id', 'left_quantity']);
        });
        Schema::create('layer_uses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('layer_id')->constrained('cost_layers');
            $table->foreignId('move_id')->constrained();
            $table->decimal('quantity', 18, 6); // taken from the layer; negative when put back
            $table->bigInteger('value');
        });
        // what lay there before was valued by the average of each balance: lots become their own cost, the rest an
        // average
        DB::statement("UPDATE items SET costing = 'own' WHERE tracking <> 'none'");
        DB::statement("INSERT INTO stock_values (item_id, lot_id, quantity, value)
            SELECT b.item_id, IF(i.costing = 'own', b.lot_id, 0), SUM(b.quantity), SUM(b.value)
            FROM balances b JOIN items i ON i.id = b.item_id WHERE b.owner_id = 0 GROUP BY 1, 2");
        DB::statement('ALTER TABLE balances DROP CONSTRAINT balances_not_negative');
        Schema::table('balances', fn (Blueprint $table) => $table->dropColumn('value'));
        DB::statement('ALTER TABLE balances ADD CONSTRAINT balances_not_negative CHECK (quantity >= 0)');
    }

    private function purchases(): void
    {
        Schema::create('purchase_orders', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 30)->unique();
            $table->foreignId('supplier_id')->constrained();
            $table->date('ordered_on');
            $table->unsignedInteger('version')->default(1);
        });
        Schema::table('purchases', function (Blueprint $table): void {
            $table->foreignId('purchase_order_id')->nullable()->constrained();
            $table->decimal('cancelled_quantity', 18, 6)->default(0);
            $table->date('asked_for')->nullable(); // hurried: the date we asked for
        });
        DB::statement(
            'INSERT INTO purchase_orders (number, supplier_id, ordered_on) '
                    .'SELECT number, supplier_id, expected_on FROM purchases',
        );
        DB::statement(
            'UPDATE purchases u JOIN purchase_orders o ON o.number = u.number SET u.purchase_order_id = o.id',
        );
    }

    private function slips(): void
    {
        Schema::create('slips', function (Blueprint $table): void {
            $table->id();
            $table->string('token', 64)->unique();
            $table->string('part', 10); // whole, reported, step
            $table->unsignedInteger('step_number')->nullable();
            $table->string('state', 8)->default('open'); // open, booked, dropped
            $table->date('booked_on')->nullable(); // null = the day it is booked
            $table->string('note', 200)->default('');
            $table->foreignId('user_id')->constrained();
            $table->foreignId('changed_by')->constrained('users');
            $table->foreignId('booking_id')->nullable()->constrained();
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->index(['state', 'id']);
        });
        Schema::create('slip_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('slip_id')->constrained();
            $table->unsignedInteger('position');
            $table->foreignId('order_id')->constrained();
            $table->foreignId('component_id')->nullable()->constrained('order_components'); // null = not planned
            $table->foreignId('item_id')->constrained(); // another than the component's: a substitute
            $table->unsignedInteger('step_number');
            $table->decimal('proposed', 18, 6)->default(0); // stock unit
            $table->string('typed', 30)->default(''); // as typed, whatever it is
            $table->string('unit', 12)->default(''); // '' = the stock unit
            $table->string('reason', 200)->default('');
            $table->boolean('is_out')->default(false); // taken out of the slip
            $table->index(['slip_id', 'position']);
        });
        Schema::create('slip_splits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('slip_line_id')->constrained()->cascadeOnDelete();
            $table->string('code', 60)->default(''); // lot or serial as typed; '' = not tracked
            $table->foreignId('place_id')->nullable()->constrained();
            $table->string('typed', 30)->default('');
            $table->boolean('is_picked')->default(false);
        });
    }
};
