<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Calendar\Day;
use KeepPace\Core\Calendar\WorkingCalendar;

/** On which days a supplier works, takes orders and delivers, and how long goods are on the way from him. */
final readonly class SupplierDays
{
    /**
     * @param  WorkingCalendar  $calendar  his; the plant's where his is not known
     * @param  int  $transport  our working days on the way, 0 or more
     * @param  list<int>  $ordersOn  weekdays on which he takes orders, 1 = Monday; none = any
     * @param  list<int>  $deliversOn  weekdays on which he delivers, 1 = Monday; none = any
     */
    public function __construct(
        public WorkingCalendar $calendar,
        public int $transport = 0,
        private array $ordersOn = [],
        private array $deliversOn = [],
    ) {
    }

    public function takesOrdersOn(string $date): bool
    {
        return self::isAmong($this->ordersOn, $date);
    }

    public function deliversOn(string $date): bool
    {
        return self::isAmong($this->deliversOn, $date);
    }

    /** @param  list<int>  $weekdays */
    private static function isAmong(array $weekdays, string $date): bool
    {
        return $weekdays === [] || in_array(Day::weekday($date), $weekdays, true);
    }
}
