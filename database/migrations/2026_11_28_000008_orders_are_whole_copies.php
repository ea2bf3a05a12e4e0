<?php

use Brick\Math\BigRational;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * An order's components keep what one piece, or the order, takes of them, and all else their line said; its steps have
 * every column a routing has. Nothing reads the master after the copy, so nothing of the copy points at it by a key.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['routing_steps', 'order_steps'] as $table) {
            Schema::hasColumn($table, 'yield_percent') ?: Schema::table($table, self::steps(...));
        }
        Schema::hasColumn('order_steps', 'arrived_at') ?: Schema::table('order_steps', self::progress(...));
        $this->unbound('order_steps', 'routing_step_id', 'source_step_id');
        if (! Schema::hasColumn('order_components', 'basis')) {
            DB::statement(self::COMPONENTS);
        }
        if (Schema::hasColumn('order_components', 'structure_line_id')) {
            $this->ratios();
        }
        $this->unbound('order_components', 'structure_line_id', 'source_line_id');
    }

    private const COMPONENTS = <<<'SQL'
        ALTER TABLE order_components
            ADD basis ENUM('unit', 'order') CHARACTER SET ascii NOT NULL DEFAULT 'unit',
            ADD ratio_p DECIMAL(38, 0) NULL, -- p/q stock units for one piece, or for the order; NULL: added by hand
            ADD ratio_q DECIMAL(38, 0) NULL,
            ADD line_quantity DECIMAL(18, 6) NULL, -- as the line had it, in its unit, before scrap
            ADD unit_id BIGINT UNSIGNED NULL,
            ADD scrap_percent DECIMAL(7, 4) NOT NULL DEFAULT 0,
            ADD designators VARCHAR(200) NOT NULL DEFAULT '',
            ADD phantom_item_id BIGINT UNSIGNED NULL, -- it came through
            MODIFY supplied_by ENUM('us', 'customer', 'subcontractor') CHARACTER SET ascii NOT NULL DEFAULT 'us',
            ADD FOREIGN KEY (unit_id) REFERENCES units (id),
            ADD FOREIGN KEY (phantom_item_id) REFERENCES items (id),
            ADD CONSTRAINT order_components_ratio CHECK (ratio_p IS NULL OR (ratio_p >= 0 AND ratio_q > 0))
        SQL;

    /** What a step says beside what it said before. */
    private static function steps(Blueprint $table): void
    {
        $table->unsignedSmallInteger('setup_crew')->default(1);
        $table->decimal('machine_minutes', 14, 6)->nullable(); // of a unit, where they differ from the run time
        $table->decimal('yield_percent', 7, 4)->default(100);
        $table->boolean('may_be_interrupted')->default(true);
        $table->string('qualification', 40)->default('');
        $table->string('tools', 200)->default('');
        $table->boolean('is_inspected')->default(false);
        $table->boolean('has_first_article')->default(false);
        $table->boolean('counts_before')->default(false); // what is counted here is counted at the steps before it
        $table->unsignedSmallInteger('transport_days')->default(0);
        $table->bigInteger('minimum_cents')->default(0);
        $table->bigInteger('setup_cents')->default(0);
        $table->foreignId('service_item_id')->nullable()->constrained('items');
        $table->string('done_at', 8)->storedAs(
            "IF(supplier_id IS NOT NULL, 'supplier', IF(work_centre_id IS NOT NULL, 'centre', 'bench'))",
        );
    }

    /** What becomes of pieces at a step beside good and scrap, and since when they are there. */
    private static function progress(Blueprint $table): void
    {
        $table->dateTime('arrived_at')->nullable();
        $table->foreignId('last_booking_id')->nullable()->constrained('bookings');
        foreach (['sent_out', 'reworked', 'added', 'not_found', 'sent_back', 'moved_in', 'moved_out'] as $pieces) {
            $table->decimal($pieces, 18, 6)->default(0);
        }
    }

    /** Keeps the number of what was copied, without a key: a draft may lose the line. */
    private function unbound(string $table, string $from, string $to): void
    {
        if (Schema::hasColumn($table, $from)) {
            Schema::table($table, function (Blueprint $blueprint) use ($from, $to): void {
                $blueprint->dropForeign([$from]);
                $blueprint->renameColumn($from, $to);
            });
        }
    }

    /**
     * What one piece takes, by the line it was copied from and the phantoms between; where these are not the order's
     * structure any more, by what the order was planned with.
     */
    private function ratios(): void
    {
        $lines = DB::table('structure_lines AS l')
            ->join('structures AS s', 's.id', 'l.structure_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->leftJoin('item_units AS u', fn ($join) => $join
                ->on('u.item_id', 'l.item_id')
                ->on('u.unit_id', 'l.unit_id'))
            ->select(['l.*', 's.item_id AS parent_id', 'u.p', 'u.q'])
            ->selectRaw('i.unit_id = l.unit_id AS is_stock_unit')
            ->get()
            ->keyBy('id');
        $byStructure = $lines->groupBy('structure_id');
        $copied = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->whereNotNull('c.structure_line_id')
            ->whereNull('c.ratio_p')
            ->select(['c.id', 'c.structure_line_id', 'c.baseline_quantity', 'o.structure_id', 'o.quantity']);
        foreach ($copied->get() as $component) {
            $line = $lines[$component->structure_line_id];
            [$ratio, $basis, $phantom] = $this->through($line, $component, $byStructure) ?? [
                BigRational::of($component->baseline_quantity)->dividedBy($component->quantity),
                'unit',
                null,
            ];
            DB::table('order_components')->where('id', $component->id)->update([
                'basis' => $basis,
                'ratio_p' => (string) $ratio->getNumerator(),
                'ratio_q' => (string) $ratio->getDenominator(),
                'line_quantity' => $line->quantity,
                'unit_id' => $line->unit_id,
                'scrap_percent' => $line->scrap_percent,
                'designators' => $line->designators,
                'phantom_item_id' => $phantom,
            ]);
        }
    }

    /**
     * @param  Collection<int, Collection<int, stdClass>>  $byStructure
     * @return array{BigRational, string, int|null}|null
     */
    private function through(stdClass $line, stdClass $component, Collection $byStructure): ?array
    {
        $ratio = self::ratio($line);
        if ($line->structure_id === $component->structure_id) {
            return [$ratio, $line->basis, null];
        }
        foreach ($byStructure[$component->structure_id] ?? [] as $outer) {
            if ($outer->item_id === $line->parent_id) {
                $isOrder = $line->basis === 'order';

                return [
                    $isOrder ? $ratio : $ratio->multipliedBy(self::ratio($outer)),
                    $isOrder ? 'order' : $outer->basis,
                    $line->parent_id,
                ];
            }
        }

        return null; // through two phantoms
    }

    private static function ratio(stdClass $line): BigRational
    {
        $unit = $line->is_stock_unit ? BigRational::one() : BigRational::of("{$line->p}/{$line->q}");
        $lost = BigRational::of(100)->minus($line->scrap_percent);

        return BigRational::of($line->quantity)->multipliedBy($unit)->multipliedBy(100)->dividedBy($lost)->simplified();
    }
};
