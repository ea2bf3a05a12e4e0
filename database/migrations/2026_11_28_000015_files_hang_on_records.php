<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Pictures, drawings and certificates hang on items, customers, suppliers and work centres. A file lies in the store
 * once, by the hash of what is in it; what is taken off is no longer shown, and the file stays.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('files') ?: DB::statement(<<<'SQL'
            CREATE TABLE files (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL UNIQUE,
                type VARCHAR(8) NOT NULL,
                bytes INT UNSIGNED NOT NULL,
                width SMALLINT UNSIGNED NULL, -- of a picture, in points
                height SMALLINT UNSIGNED NULL
            )
            SQL);
        Schema::hasTable('attachments') ?: DB::statement(<<<'SQL'
            CREATE TABLE attachments (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                file_id BIGINT UNSIGNED NOT NULL,
                item_id BIGINT UNSIGNED NULL,
                customer_id BIGINT UNSIGNED NULL,
                supplier_id BIGINT UNSIGNED NULL,
                work_centre_id BIGINT UNSIGNED NULL,
                kind ENUM('picture', 'drawing', 'certificate', 'other') NOT NULL,
                name VARCHAR(120) NOT NULL,
                booking_id BIGINT UNSIGNED NOT NULL,
                taken_off_id BIGINT UNSIGNED NULL, -- the booking that took it off
                FOREIGN KEY (file_id) REFERENCES files (id),
                FOREIGN KEY (item_id) REFERENCES items (id),
                FOREIGN KEY (customer_id) REFERENCES customers (id),
                FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
                FOREIGN KEY (work_centre_id) REFERENCES work_centres (id),
                FOREIGN KEY (booking_id) REFERENCES bookings (id),
                FOREIGN KEY (taken_off_id) REFERENCES bookings (id),
                CONSTRAINT attachments_of_one CHECK ((item_id IS NOT NULL) + (customer_id IS NOT NULL)
                    + (supplier_id IS NOT NULL) + (work_centre_id IS NOT NULL) = 1)
            )
            SQL);
    }
};
