<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who logs in and who works is a person, a login being optional; somebody who logs in has one role or more. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::rename('people', 'workers');
        Schema::rename('users', 'people');
        DB::statement(
            'ALTER TABLE people ADD COLUMN number VARCHAR(20) NULL AFTER id, '
            .'ADD COLUMN number_key VARCHAR(20) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin '
            .'AS (LOWER(number)) STORED AFTER number, ADD UNIQUE people_number_key_unique (number_key), '
            .'RENAME INDEX users_login_key_unique TO people_login_key_unique, '
            .'RENAME INDEX users_badge_unique TO people_badge_unique, '
            .'MODIFY login VARCHAR(60) NULL, MODIFY password VARCHAR(255) NULL',
        );
        Schema::table('people', function (Blueprint $table): void {
            $table->foreignId('work_centre_id')->nullable();
            $table->foreignId('calendar_id')->nullable();
            $table->boolean('is_there')->default(true);
        });
        $this->roles();
        $this->workers();
    }

    private function roles(): void
    {
        Schema::create('person_roles', function (Blueprint $table): void {
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('role', 20);
            $table->primary(['person_id', 'role']);
        });
        DB::statement('INSERT INTO person_roles (person_id, role) SELECT id, role FROM people');
        Schema::table('people', fn (Blueprint $table) => $table->dropColumn('role'));
    }

    private function workers(): void
    {
        DB::statement(
            'INSERT INTO people (number, name, work_centre_id, calendar_id, is_there) '
            .'SELECT number, name, work_centre_id, calendar_id, is_there FROM workers ORDER BY id',
        );
        Schema::table('absences', fn (Blueprint $table) => $table->dropForeign(['person_id']));
        DB::statement(
            'UPDATE absences a JOIN workers w ON w.id = a.person_id JOIN people p ON p.number = w.number '
            .'SET a.person_id = p.id',
        );
        Schema::drop('workers');
        Schema::table('absences', function (Blueprint $table): void {
            $table->foreign('person_id')->references('id')->on('people');
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->foreign('work_centre_id')->references('id')->on('work_centres');
            $table->foreign('calendar_id')->references('id')->on('calendars');
        });
    }
};
