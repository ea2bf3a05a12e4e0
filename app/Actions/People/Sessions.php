<?php

namespace App\Actions\People;

use Illuminate\Support\Facades\DB;

/** Logins that are open now, by person. */
final class Sessions
{
    /**
     * Ends them.
     *
     * @param  string|null  $but  the one that goes on
     */
    public static function end(int $userId, ?string $but = null): void
    {
        DB::table('sessions')
            ->where('user_id', $userId)
            ->when($but !== null, fn ($query) => $query->where('id', '<>', $but))
            ->delete();
    }
}
