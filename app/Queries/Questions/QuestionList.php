<?php

namespace App\Queries\Questions;

use App\Reading\Cut;
use App\Reading\Row;
use App\Shop\Shelves;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Open questions, oldest first, and those answered lately. */
final class QuestionList
{
    /** @return Cut<OpenQuestion> */
    public static function open(int $most = 200): Cut
    {
        $open = self::base()->whereNull('q.answered_at')->orderBy('q.opened_at')->orderBy('q.id');

        return Cut::read($open, $most, OpenQuestion::from(...));
    }

    /** @return Collection<int, OpenQuestion> that are open about a purchase order */
    public static function ofPurchase(int $order): Collection
    {
        $open = self::base()->whereNull('q.answered_at')->where('buy.purchase_order_id', $order)->orderBy('q.id');

        return Row::all($open, OpenQuestion::from(...));
    }

    /** @return Collection<int, OpenQuestion> */
    public static function answered(): Collection
    {
        $answered = self::base()
            ->whereNotNull('q.answered_at')
            ->orderByDesc('q.answered_at')
            ->orderByDesc('q.id')
            ->limit(30);

        return Row::all($answered, OpenQuestion::from(...));
    }

    private static function base(): Builder
    {
        return DB::table('questions AS q')
            ->leftJoin('orders AS o', 'o.id', 'q.order_id')
            ->leftJoin('people AS a', 'a.id', 'q.answered_by')
            ->leftJoin('order_components AS c', 'c.id', 'q.component_id')
            ->leftJoin('items AS i', 'i.id', 'c.item_id')
            ->leftJoin('purchase_lines AS buy', 'buy.id', 'q.purchase_line_id')
            ->select([
                'q.id',
                'q.kind',
                'q.says',
                'q.order_id',
                'q.role',
                'q.quantity',
                'q.open_quantity',
                'q.opened_at',
                'q.answered_at',
                'q.answer',
                'q.booking_id',
                'o.state',
                'a.name AS answerer',
                'c.item_id',
                'buy.purchase_order_id',
            ])
            ->selectSub(
                Shelves::lying()->where('b.owner_id', 0)->whereColumn('b.item_id', 'c.item_id')
                    ->selectRaw('COALESCE(SUM(b.quantity), 0)'),
                'on_hand',
            );
    }
}
