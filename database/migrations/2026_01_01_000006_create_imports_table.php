<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Imports a person started: how far each is and what came of it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained();
            $table->string('folder', 200);
            $table->string('files', 500)->default('');
            $table->string('state', 12)->default('waiting'); // waiting, running, done, refused, failed
            $table->string('doing', 80)->default('');
            $table->unsignedInteger('lines_done')->default(0);
            $table->unsignedInteger('lines_total')->default(0);
            $table->json('problems')->nullable(); // [{file, line, column, says}]
            $table->unsignedInteger('problem_count')->default(0);
            $table->json('result')->nullable(); // {file: {new, changed, same}}
            $table->timestamps();
        });
    }
};
