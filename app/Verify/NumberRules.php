<?php

namespace App\Verify;

/** Numbers that will be given next are not used yet. */
final class NumberRules
{
    /** @return array<string, string> SQL by what must hold */
    public static function all(): array
    {
        return [
            'the next order number is unused' => self::next('order', 'orders'),
            'the next customer order number is unused' => self::next('customer_order', 'customer_orders'),
            'the next purchase number is unused' => self::next('purchase', 'purchase_orders'),
            'the next consignment number is unused' => self::next('consignment', 'consignments'),
        ];
    }

    private static function next(string $code, string $table): string
    {
        return <<<SQL
            SELECT CONCAT('{$code}: next ', next, ', used ', MAX(used)) AS difference
            FROM (
                SELECT n.next, CAST(SUBSTRING(t.number, CHAR_LENGTH(n.prefix) + 1) AS UNSIGNED) AS used
                FROM numberings n
                JOIN {$table} t ON t.number REGEXP CONCAT('^', n.prefix, '[0-9]{1,11}$')
                WHERE n.code = '{$code}'
            ) x
            GROUP BY next
            HAVING next <= MAX(used)
            SQL;
    }
}
