<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Standard costs that are to be taken on a day ahead: as they were decided, until that day comes. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('standards_to_come') ?: Schema::create('standards_to_come', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained(); // that decided it, with who and why
            $table->date('from_on');
            $table->json('costs'); // before and after, by item
            $table->foreignId('taken_by_id')->nullable()->constrained('bookings');
            $table->foreignId('dropped_by_id')->nullable()->constrained('bookings');
            $table->string('refused', 500)->default(''); // why it could not be taken on its day
            $table->index(['from_on', 'taken_by_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('standards_to_come');
    }
};
