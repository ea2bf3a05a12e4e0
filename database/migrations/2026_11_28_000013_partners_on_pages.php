<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Customers and suppliers are kept on pages: on what terms, on which days, and whom to ask for, each with any number of
 * telephones and mails. The one contact they had becomes the first of theirs.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('contacts') ?: DB::statement(<<<'SQL'
            CREATE TABLE contacts (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                customer_id BIGINT UNSIGNED NULL,
                supplier_id BIGINT UNSIGNED NULL,
                position SMALLINT UNSIGNED NOT NULL, -- 1 is whom to ask for first
                name VARCHAR(80) NOT NULL,
                asked_about VARCHAR(60) NOT NULL DEFAULT '',
                UNIQUE KEY contacts_of_customer (customer_id, position),
                UNIQUE KEY contacts_of_supplier (supplier_id, position),
                FOREIGN KEY (customer_id) REFERENCES customers (id),
                FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
                CONSTRAINT contacts_of_one CHECK ((customer_id IS NULL) <> (supplier_id IS NULL))
            )
            SQL);
        Schema::hasTable('contact_ways') ?: DB::statement(<<<'SQL'
            CREATE TABLE contact_ways (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                contact_id BIGINT UNSIGNED NOT NULL,
                kind ENUM('phone', 'mail') NOT NULL,
                at VARCHAR(120) NOT NULL,
                UNIQUE KEY contact_ways_once (contact_id, kind, at),
                FOREIGN KEY (contact_id) REFERENCES contacts (id) ON DELETE CASCADE
            )
            SQL);
        foreach (['customers' => self::customers(...), 'suppliers' => self::suppliers(...)] as $table => $columns) {
            Schema::hasColumn($table, 'version') ?: Schema::table($table, $columns);
            $this->contacts($table);
        }
    }

    /** The one contact becomes the first; done twice, it stands once. */
    private function contacts(string $table): void
    {
        if (! Schema::hasColumn($table, 'contact')) {
            return;
        }
        $of = $table === 'customers' ? 'customer_id' : 'supplier_id';
        DB::statement(
            "INSERT IGNORE INTO contacts ({$of}, position, name) SELECT id, 1, TRIM(contact) FROM {$table} "
                ."WHERE TRIM(contact) <> ''",
        );
        Schema::dropColumns($table, 'contact');
    }

    private static function customers(Blueprint $table): void
    {
        self::partners($table);
        $table->string('ship_to', 200)->default(''); // '' = to their address
        $table->unsignedSmallInteger('finish_days')->nullable(); // between finished and shipped; null = as the shop
        $table->boolean('is_whole_only')->default(false); // takes an order in one shipment only
    }

    private static function suppliers(Blueprint $table): void
    {
        self::partners($table);
        $table->decimal('minimum_order', 12, 2)->default(0); // euros; 0 = any
        $table->foreignId('calendar_id')->nullable()->constrained(); // null = as the plant
        $table->unsignedSmallInteger('transport_days')->default(0); // our working days
        $table->string('orders_on', 13)->default(''); // weekdays such as "1,4"; '' = any
        $table->string('delivers_on', 13)->default('');
    }

    private static function partners(Blueprint $table): void
    {
        $table->string('terms', 120)->default('');
        $table->string('note', 1000)->default('');
        $table->dateTime('retired_at')->nullable();
        $table->unsignedInteger('version')->default(1);
    }
};
