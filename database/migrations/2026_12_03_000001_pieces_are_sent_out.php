<?php

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Pieces go to a supplier in a consignment: a head, and a line for each step, with what became of the pieces, written
 * by booking. Until now each handful that was passed to an outside step counted as sent from that moment; what was
 * passed on before this is taken over so.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('consignment_lines') ?: Schema::rename('consignments', 'consignment_lines');
        Schema::hasTable('consignments') ?: DB::statement(self::HEADS);
        Schema::hasColumn('consignment_lines', 'good') ?: DB::statement(self::LINES);
        Schema::hasTable('consignment_entries') ?: DB::statement(self::ENTRIES);
        if (Schema::hasColumn('consignment_lines', 'booking_id')) {
            $this->takeOver();
            DB::statement('ALTER TABLE consignment_lines DROP FOREIGN KEY consignments_booking_id_foreign');
            DB::statement('ALTER TABLE consignment_lines DROP COLUMN booking_id, '
                .'MODIFY consignment_id BIGINT UNSIGNED NOT NULL, '
                .'ADD UNIQUE KEY consignment_lines_position (consignment_id, position)');
        }
    }

    private const HEADS = <<<'SQL'
        CREATE TABLE consignments (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            number VARCHAR(30) NOT NULL,
            supplier_id BIGINT UNSIGNED NOT NULL,
            booking_id BIGINT UNSIGNED NOT NULL, -- that sent it
            sent_at DATETIME NOT NULL,
            note VARCHAR(500) NOT NULL DEFAULT '',
            UNIQUE KEY consignments_number (number),
            KEY consignments_supplier (supplier_id, id),
            FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
            CONSTRAINT consignments_booking FOREIGN KEY (booking_id) REFERENCES bookings (id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci
        SQL;

    private const LINES = <<<'SQL'
        ALTER TABLE consignment_lines
            ADD consignment_id BIGINT UNSIGNED NULL AFTER id,
            ADD position SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER consignment_id,
            CHANGE quantity sent DECIMAL(18, 6) NOT NULL DEFAULT 0,
            ADD good DECIMAL(18, 6) NOT NULL DEFAULT 0 AFTER sent,
            ADD spoiled DECIMAL(18, 6) NOT NULL DEFAULT 0 AFTER good,
            ADD lost DECIMAL(18, 6) NOT NULL DEFAULT 0 AFTER spoiled,
            ADD unworked DECIMAL(18, 6) NOT NULL DEFAULT 0 AFTER lost, -- came back as they went
            ADD there DECIMAL(18, 6) AS (sent - good - spoiled - lost - unworked) PERSISTENT,
            ADD KEY consignment_lines_there (there, order_step_id),
            ADD CONSTRAINT consignment_lines_head FOREIGN KEY (consignment_id) REFERENCES consignments (id)
        SQL;

    private const ENTRIES = <<<'SQL'
        CREATE TABLE consignment_entries (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            booking_id BIGINT UNSIGNED NOT NULL,
            consignment_line_id BIGINT UNSIGNED NOT NULL,
            sent DECIMAL(18, 6) NOT NULL DEFAULT 0,
            good DECIMAL(18, 6) NOT NULL DEFAULT 0,
            spoiled DECIMAL(18, 6) NOT NULL DEFAULT 0,
            lost DECIMAL(18, 6) NOT NULL DEFAULT 0,
            unworked DECIMAL(18, 6) NOT NULL DEFAULT 0,
            FOREIGN KEY (booking_id) REFERENCES bookings (id),
            FOREIGN KEY (consignment_line_id) REFERENCES consignment_lines (id)
        )
        SQL;

    private int $next = 101;

    /** @var array<string, int> heads by booking and supplier */
    private array $heads = [];

    /** @var array<int, int> last position, by head */
    private array $positions = [];

    /** Begun and broken off, it begins anew: nothing else wrote here. */
    private function takeOver(): void
    {
        DB::transaction(function (): void {
            DB::table('consignment_entries')->delete();
            DB::table('consignment_lines')->update(['consignment_id' => null, 'good' => 0, 'spoiled' => 0]);
            DB::table('consignment_lines')->where('position', '>', 0)->where('sent', 0)->delete();
            DB::table('consignments')->delete();
            foreach ($this->entries()->groupBy(fn (Row $row): int => $row->int('order_step_id')) as $of) {
                $this->step($of);
            }
            // passed on and taken back: nothing of it ever went
            foreach (DB::table('consignment_lines')->whereNull('consignment_id')->orderBy('id')->get() as $line) {
                $step = DB::table('order_steps')->where('id', $line->order_step_id)->first();
                if ($step === null || $step->supplier_id === null) {
                    DB::table('consignment_lines')->where('id', $line->id)->delete();

                    continue;
                }
                $head = $this->head((int) $line->booking_id, (int) $step->supplier_id, (string) $line->sent_at);
                $this->put((int) $line->id, $head, '0');
            }
            DB::table('numberings')->insertOrIgnore([
                'code' => 'consignment',
                'prefix' => 'OUT-',
                'next' => $this->next,
            ]);
        });
    }

    /** @return Collection<int, Row> of steps done outside, that stand */
    private function entries(): Collection
    {
        $entries = DB::table('step_entries AS e')
            ->join('order_steps AS s', 's.id', 'e.order_step_id')
            ->join('bookings AS b', 'b.id', 'e.booking_id')
            ->whereNotNull('s.supplier_id')
            ->whereNull('b.reverses_id')
            ->whereNotExists(fn ($taken) => $taken->from('bookings AS r')->whereColumn('r.reverses_id', 'b.id'))
            ->orderBy('e.id')
            ->select(['e.order_step_id', 'e.booking_id', 'e.taken_in', 'e.good', 'e.scrap'])
            ->addSelect(['b.entered_at', 'b.kind', 's.supplier_id', 's.lead_time_days']);

        return Row::all($entries, fn (Row $row): Row => $row);
    }

    /** @param  Collection<int, Row>  $entries  of one step */
    private function step(Collection $entries): void
    {
        $there = []; // pieces by line, oldest first
        foreach ($entries as $entry) {
            $in = $entry->decimal('taken_in');
            $back = $entry->decimal('good')->plus($entry->decimal('scrap'));
            $known = DB::table('consignment_lines')
                ->where('order_step_id', $entry->int('order_step_id'))
                ->where('booking_id', $entry->int('booking_id'))
                ->whereNull('consignment_id')
                ->value('id');
            if ($in->isPositive() && ($known !== null || $entry->text('kind') === 'import')) {
                $line = $this->line($entry, $in, is_numeric($known) ? (int) $known : null);
                $there[$line] = ($there[$line] ?? BigDecimal::zero())->plus($in);
            }
            $back->isPositive() ? $this->came($entry, $back, $there) : null;
        }
    }

    /**
     * What came first went first; what nobody sent by the books was sent with the booking that has it back.
     *
     * @param  array<int, BigDecimal>  $there
     */
    private function came(Row $entry, BigDecimal $back, array &$there): void
    {
        $missing = $back->minus(BigDecimal::sum(BigDecimal::zero(), ...array_values($there)));
        if ($missing->isPositive()) {
            $line = $this->line($entry, $missing, null);
            $there[$line] = ($there[$line] ?? BigDecimal::zero())->plus($missing);
        }
        $left = ['good' => $entry->decimal('good'), 'spoiled' => $entry->decimal('scrap')];
        foreach ($there as $line => $pieces) {
            $got = [];
            foreach ($left as $what => $wanted) {
                $take = BigDecimal::min($wanted, $pieces);
                $got[$what] = $take;
                $left[$what] = $wanted->minus($take);
                $pieces = $pieces->minus($take);
            }
            $there[$line] = $pieces;
            if ($got['good']->plus($got['spoiled'])->isPositive()) {
                DB::table('consignment_entries')->insert([
                    'booking_id' => $entry->int('booking_id'),
                    'consignment_line_id' => $line,
                    ...array_map(strval(...), $got),
                ]);
                DB::table('consignment_lines')->where('id', $line)->update([
                    'good' => DB::raw("good + {$got['good']}"),
                    'spoiled' => DB::raw("spoiled + {$got['spoiled']}"),
                ]);
            }
        }
    }

    private function line(Row $entry, BigDecimal $sent, ?int $known): int
    {
        $at = $entry->text('entered_at');
        $head = $this->head($entry->int('booking_id'), $entry->int('supplier_id'), $at);
        $line = $known ?? DB::table('consignment_lines')->insertGetId([
            'order_step_id' => $entry->int('order_step_id'),
            'booking_id' => $entry->int('booking_id'),
            'sent_at' => $at,
            'back_at' => CarbonImmutable::parse($at)->addDays($entry->int('lead_time_days'))->toDateTimeString(),
        ]);
        $this->put($line, $head, (string) $sent);
        DB::table('consignment_entries')->insert([
            'booking_id' => $entry->int('booking_id'),
            'consignment_line_id' => $line,
            'sent' => (string) $sent,
        ]);

        return $line;
    }

    private function put(int $line, int $head, string $sent): void
    {
        $this->positions[$head] = ($this->positions[$head] ?? 0) + 1;
        DB::table('consignment_lines')->where('id', $line)->update([
            'consignment_id' => $head,
            'position' => $this->positions[$head],
            'sent' => $sent,
        ]);
    }

    private function head(int $booking, int $supplier, string $at): int
    {
        return $this->heads["{$booking}-{$supplier}"] ??= DB::table('consignments')->insertGetId([
            'number' => 'OUT-'.$this->next++,
            'supplier_id' => $supplier,
            'booking_id' => $booking,
            'sent_at' => $at,
        ]);
    }
};
