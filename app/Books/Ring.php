<?php

namespace App\Books;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;

/** Orders that supply one another in a ring would wait for each other for ever. The database refuses them, too. */
final class Ring
{
    /** Orders an output's order gets parts from, at every level, and that order itself. */
    private const GETS = <<<'SQL'
        WITH RECURSIVE gets AS (
            SELECT order_id FROM order_outputs WHERE id = ?
            UNION
            SELECT u.order_id
            FROM gets g
            JOIN order_components c ON c.order_id = g.order_id
            JOIN ties t ON t.component_id = c.id AND t.supply_kind = 'output' AND t.quantity > 0
            JOIN order_outputs u ON u.id = t.output_id
        )
        SELECT o.number AS wants, s.number AS gives
        FROM gets
        JOIN order_components c ON c.id = ? AND c.order_id = gets.order_id
        JOIN orders o ON o.id = c.order_id
        JOIN order_outputs u ON u.id = ?
        JOIN orders s ON s.id = u.order_id
        SQL;

    /** @throws CoverRefused when the supplying order gets something of the one it would supply */
    public static function assertNone(TieDemand $demand, TieSupply $supply): void
    {
        if ($demand->kind !== DemandKind::Component || $supply->kind !== SupplyKind::Output) {
            return;
        }
        $ring = DB::query()->fromRaw('('.self::GETS.') AS ring', [$supply->id, $demand->id, $supply->id]);
        $found = Row::first($ring, fn (Row $row): Row => $row);
        if ($found !== null) {
            throw CoverRefused::ring($found->text('gives'), $found->text('wants'));
        }
    }
}
