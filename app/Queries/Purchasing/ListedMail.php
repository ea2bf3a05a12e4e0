<?php

namespace App\Queries\Purchasing;

use App\Reading\Cut;
use App\Reading\Row;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** A mail that went out, in a list. */
final readonly class ListedMail
{
    private const SHOWN = 200;

    private function __construct(
        public int $id,
        public string $to,
        public string $subject,
        public CarbonImmutable $sentAt,
        public int $orderId,
        public string $order,
        public string $supplier,
        public string $person,
    ) {
    }

    /** @return Cut<self> newest first */
    public static function all(): Cut
    {
        return Cut::read(
            DB::table('mails AS m')
                ->join('purchase_orders AS o', 'o.id', 'm.purchase_order_id')
                ->join('suppliers AS s', 's.id', 'o.supplier_id')
                ->join('bookings AS b', 'b.id', 'm.booking_id')
                ->join('people AS p', 'p.id', 'b.person_id')
                ->orderByDesc('m.id')
                ->select(['m.id', 'm.to', 'm.subject', 'm.sent_at', 'o.id AS order_id', 'o.number'])
                ->addSelect(['s.name AS supplier', 'p.name AS person']),
            self::SHOWN,
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->text('to'),
                $row->text('subject'),
                $row->moment('sent_at'),
                $row->int('order_id'),
                $row->text('number'),
                $row->text('supplier'),
                $row->text('person'),
            ),
        );
    }
}
