<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What the shop sets for itself, and the reasons it chooses from, stand on pages instead of in a file. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('settings') ?: DB::statement(<<<'SQL'
            CREATE TABLE settings (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                name VARCHAR(40) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL UNIQUE,
                value VARCHAR(60) NOT NULL
            )
            SQL);
        Schema::hasTable('reasons') ?: DB::statement(<<<'SQL'
            CREATE TABLE reasons (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                kind ENUM('scrap', 'change') NOT NULL,
                position SMALLINT UNSIGNED NOT NULL,
                says VARCHAR(80) NOT NULL,
                UNIQUE KEY reasons_once (kind, says)
            )
            SQL);
        foreach (['units', 'places'] as $table) {
            Schema::hasColumn($table, 'version') ?: Schema::table($table, function (Blueprint $columns): void {
                $columns->unsignedInteger('version')->default(1);
            });
        }
        Schema::hasColumn('places', 'retired_at') ?: Schema::table('places', function (Blueprint $places): void {
            $places->dateTime('retired_at')->nullable();
        });
    }
};
