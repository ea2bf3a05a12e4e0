<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Components of a step done outside go along with its pieces, as stock at the place of the supplier. What an order
 * still takes of a component from here says the database.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('order_components', 'along_quantity')) {
            DB::statement('ALTER TABLE order_components
                ADD along_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0, -- with a supplier, not used yet
                ADD open_quantity DECIMAL(18, 6) AS (
                    GREATEST(planned_quantity - used_quantity - replaced_quantity - along_quantity, 0)
                ) VIRTUAL,
                ADD CONSTRAINT order_components_along CHECK (along_quantity >= 0)');
        }
        if (! Schema::hasColumn('consignment_lines', 'component_id')) {
            DB::statement('ALTER TABLE consignment_lines
                ADD component_id BIGINT UNSIGNED NULL AFTER part_id, -- or stock that goes along with pieces
                ADD CONSTRAINT consignment_lines_component
                    FOREIGN KEY (component_id) REFERENCES order_components (id),
                DROP CONSTRAINT consignment_lines_one,
                ADD CONSTRAINT consignment_lines_one CHECK (
                    (order_step_id IS NOT NULL) + (part_id IS NOT NULL) + (component_id IS NOT NULL) = 1
                )');
        }
    }
};
