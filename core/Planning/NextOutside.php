<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Routing\WorkOrdered;

/** What has to be done next of a step that a supplier does. */
enum NextOutside
{
    case Done;
    case Chase;
    case Order;

    /** It orders itself when its turn comes. */
    case OrdersItself;

    /** The order for the work is a draft. */
    case Send;
    case SendOut;
    case HaveBack;
    case Confirm;

    /** Its pieces are on their way through the steps before. */
    case Wait;

    /**
     * @param  bool  $isDone  nothing of it is to come
     * @param  bool  $isHere  pieces stand at it and were not sent
     * @param  bool  $isThere  pieces are with the supplier
     * @param  bool  $isLate  and were to be back before now
     * @param  PurchaseState|null  $ordered  the least far of what its work is ordered on; null = on nothing
     * @param  WorkOrdered  $when  its work is ordered
     */
    public static function of(
        bool $isDone,
        bool $isHere,
        bool $isThere,
        bool $isLate,
        ?PurchaseState $ordered,
        WorkOrdered $when,
    ): self {
        $waits = ! $isHere && ! $isThere;

        return match (true) {
            $isDone => self::Done,
            $isThere && $isLate => self::Chase,
            $ordered === null && $waits && $when !== WorkOrdered::ByHand => self::OrdersItself,
            $ordered === null => self::Order,
            $ordered->isDraft() => self::Send,
            $isHere => self::SendOut,
            $isThere => self::HaveBack,
            $ordered === PurchaseState::Sent => self::Confirm,
            default => self::Wait,
        };
    }
}
