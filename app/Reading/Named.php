<?php

namespace App\Reading;

use Closure;
use Illuminate\Database\Query\JoinClause;

/** Lots and owners numbered 0 say that there is none: a join by name finds nothing there. */
final class Named
{
    /** @return Closure(JoinClause): JoinClause */
    public static function on(string $id, string $is): Closure
    {
        return fn (JoinClause $join): JoinClause => $join->on($id, $is)->where($id, '>', 0);
    }
}
