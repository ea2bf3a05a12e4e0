<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A purchase order is a draft until it is sent: a line of a draft brings nothing. What the supplier answered is kept
 * beside what was ordered until somebody says which holds. Mail that goes out is kept as it went.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('purchase_lines', 'is_draft')) {
            DB::statement(<<<'SQL'
                ALTER TABLE purchase_lines
                    DROP KEY purchase_lines_open,
                    DROP KEY purchase_lines_item,
                    DROP COLUMN is_open,
                    ADD is_draft BOOLEAN NOT NULL DEFAULT FALSE, -- its head is
                    ADD answered_quantity DECIMAL(18, 6) NULL, -- that differs, and nobody has said whether it holds
                    ADD answered_price DECIMAL(18, 6) NULL,
                    ADD is_open BOOLEAN AS (
                        NOT is_draft AND quantity > received_quantity + cancelled_quantity
                    ) PERSISTENT,
                    ADD KEY purchase_lines_open (is_open, expected_on),
                    ADD KEY purchase_lines_item (item_id, is_open)
                SQL);
        }
        $hasNote = Schema::hasColumn('purchase_orders', 'note');
        $hasNote ?: Schema::table('purchase_orders', function (Blueprint $table): void {
            $table->string('note', 500)->default(''); // to the supplier
            $table->date('changed_on')->nullable(); // since it was sent: the supplier does not know yet
            $table->index('state');
        });
        DB::statement('ALTER TABLE settings MODIFY value VARCHAR(200) NOT NULL');
        $isNamed = Schema::hasColumn('booking_says', 'purchase_order_id');
        $isNamed ?: Schema::table('booking_says', function (Blueprint $table): void {
            $table->foreignId('purchase_order_id')->nullable()->constrained();
        });
        Schema::hasTable('mails') ?: Schema::create('mails', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->foreignId('purchase_order_id')->constrained();
            $table->string('to', 200);
            $table->string('subject', 200);
            $table->text('body');
            $table->json('paper'); // as it was when it was sent
            $table->dateTime('sent_at');
            $table->index('sent_at');
        });
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
