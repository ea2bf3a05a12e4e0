<?php

namespace App\Planner;

use App\Models\Plan;
use Illuminate\Support\Facades\DB;

/**
 * A small file that tells pages when to ask again: the live plan's stamp, and how many bookings it does not know yet.
 * The web server hands it out as it is, so asking for it costs neither a session nor the database.
 */
final class LiveFile
{
    private string $told = '';

    public static function path(): string
    {
        return storage_path('app/live.json');
    }

    public function tell(): void
    {
        $now = (string) json_encode([
            'plan' => Plan::query()->whereKey(Plan::LIVE)->value('stamp'),
            'behind' => DB::table('unplanned')->count(),
        ]);
        if ($now === $this->told && is_file(self::path())) {
            return;
        }
        $part = self::path().'.'.getmypid();
        file_put_contents($part, $now);
        rename($part, self::path()); // whole or not at all
        $this->told = $now;
    }
}
