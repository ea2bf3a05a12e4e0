<?php

namespace App\Queries\Board;

use App\Wording\Figures;
use Illuminate\Support\Facades\DB;

/** What one booking did to the dates, in a sentence: who became late by it, who is in time again. */
final class EffectOf
{
    public static function booking(?int $booking): string
    {
        $effect = $booking === null ? null : DB::table('plan_effects')->where('booking_id', $booking)->first();
        if ($effect === null) {
            return 'Nobody becomes late by it.';
        }
        [$late, $saved] = [json_decode($effect->late, true), json_decode($effect->saved, true)];
        $numbers = DB::table('orders')->whereIn('id', [...array_keys($late), ...$saved])->pluck('number', 'id');
        arsort($late);
        $words = implode(
            ', ',
            array_map(
                fn (int $id, int $minutes): string => ($numbers[$id] ?? '?').' ('.Figures::pace($minutes).')',
                array_keys($late),
                $late,
            ),
        );

        return trim(
            ($late === []
                ? 'Nobody becomes late by it.'
                : "{$words} ".(count($late) === 1 ? 'becomes' : 'become').' late by it.')
                .($saved === []
                    ? ''
                    : ' In time again: '
                        .implode(', ', array_map(fn (int $id): string => $numbers[$id] ?? '?', $saved))
                        .'.'),
        );
    }
}
