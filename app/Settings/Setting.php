<?php

namespace App\Settings;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/**
 * What the shop sets for itself: each with what it is for and what may stand in it. A shop that has set nothing has
 * what config/pace.php says.
 */
enum Setting: string
{
    case ShopName = 'shop_name';
    case ShopAddress = 'shop_address';
    case PlantCalendar = 'plant_calendar';
    case DueHour = 'due_hour';
    case FinishDaysBefore = 'finish_days_before';
    case PromiseDays = 'promise_days';
    case HoldHours = 'hold_hours';
    case OverdueDays = 'overdue_days';
    case LeadTimeDays = 'lead_time_days';
    case GoodsUsableFrom = 'goods_usable_from';
    case UnknownMinutes = 'unknown_minutes';
    case FenceMinutes = 'fence_minutes';
    case Loading = 'loading';
    case LateMargin = 'late_margin';
    case OutsideDayMinutes = 'outside_day_minutes';
    case OvertimeHours = 'overtime_hours';
    case SaturdayFrom = 'saturday_from';
    case SaturdayTo = 'saturday_to';
    case BackflushShort = 'backflush_short';
    case AuthorApproves = 'author_approves';

    /** Characters of a text. */
    public const LONGEST = 120;

    public const REFUSE = 'refuse';

    public const YES = 'yes';

    public const LATE = 'late';

    /** What each is for, in the trade's words. */
    private const HELP = [
        'shop_name' => 'On papers that leave the house.',
        'shop_address' => 'On papers that leave the house, in one line.',
        'plant_calendar' => 'Due dates, days of delivery and how far an order is ahead go by it; work centres, people '
            .'and suppliers can have calendars of their own.',
        'due_hour' => 'An order is on time when it is finished by this hour of its day.',
        'finish_days_before' => 'An order made for a customer line is due so many days before the date promised; '
            .'a customer can have a number of its own.',
        'promise_days' => 'What stands in the date of a new line; the next day that is worked is taken.',
        'hold_hours' => 'What is offered when a date is held, so that two sellers do not sell one gap.',
        'overdue_days' => 'Until somebody gives a day. It is marked, and asked about.',
        'lead_time_days' => 'Of items and suppliers that say none. It is marked wherever a date rests on it.',
        'goods_usable_from' => 'Hour of the day they come. Empty: from the next opening after that day.',
        'unknown_minutes' => 'Of a machine that is down or a person who is away; counted from now, anew with '
            .'each planning.',
        'fence_minutes' => 'Where a work centre works without shifts. Else it is the shift that runs.',
        'loading' => 'Late: nothing is begun before it must be, and less stands about; early: what can begin does, and '
            .'there is time in hand. One order alone is loaded late on its own page.',
        'late_margin' => 'Of an order that is loaded as late as its date allows: so much open time is left before the '
            .'date, for what else stands on the machines.',
        'outside_day_minutes' => 'On pace strips, beside steps that are done here.',
        'overtime_hours' => 'As the levers of a late order offer it, behind the last shift of five days.',
        'saturday_from' => 'As the levers of a late order offer it.',
        'saturday_to' => 'As the levers of a late order offer it.',
        'backflush_short' => 'Ask: what is there is booked and a question opened; the operator goes on. Refuse: '
            .'nothing is counted until the parts are there.',
        'author_approves' => 'Where one person draws up all structures, nobody else could.',
    ];

    public function label(): string
    {
        return match ($this) {
            self::ShopName => 'Name of the shop',
            self::ShopAddress => 'Its address',
            self::PlantCalendar => 'Working days are counted by',
            self::DueHour => 'Hour at which a day is due',
            self::FinishDaysBefore => 'Working days between finished and shipped',
            self::PromiseDays => 'Days of promise for a new customer line',
            self::HoldHours => 'Hours a promised date is held',
            self::OverdueDays => 'Working days until what is overdue comes',
            self::LeadTimeDays => 'Lead time where none is known, working days',
            self::GoodsUsableFrom => 'Goods can be used from',
            self::UnknownMinutes => 'Open minutes lost where nobody knows until when',
            self::FenceMinutes => 'Minutes ahead that a search leaves alone',
            self::Loading => 'Orders are loaded',
            self::LateMargin => 'Minutes in hand of what is loaded late',
            self::OutsideDayMinutes => 'Minutes of work that a day at a supplier is drawn as',
            self::OvertimeHours => 'Hours of overtime of an evening',
            self::SaturdayFrom => 'Overtime on a Saturday from',
            self::SaturdayTo => 'Overtime on a Saturday until',
            self::BackflushShort => 'A report that finds too few components',
            self::AuthorApproves => 'Who drew a revision up may approve it',
        };
    }

    public function help(): string
    {
        return self::HELP[$this->value];
    }

    /** Heading under which it stands. */
    public function group(): string
    {
        return match ($this) {
            self::PlantCalendar,
            self::DueHour,
            self::FinishDaysBefore,
            self::PromiseDays,
            self::HoldHours => 'Dates of orders',
            self::ShopName, self::ShopAddress => 'On papers',
            self::OverdueDays, self::LeadTimeDays, self::GoodsUsableFrom => 'What suppliers bring',
            self::BackflushShort, self::AuthorApproves => 'Who may, and what if not',
            default => 'Plan and levers',
        };
    }

    public function type(): SettingType
    {
        return match ($this) {
            self::DueHour, self::SaturdayFrom, self::SaturdayTo => SettingType::Time,
            self::GoodsUsableFrom => SettingType::TimeOrNone,
            self::BackflushShort, self::AuthorApproves, self::Loading, self::PlantCalendar => SettingType::Choice,
            self::ShopName, self::ShopAddress => SettingType::Text,
            default => SettingType::Whole,
        };
    }

    public function isText(): bool
    {
        return $this->type() === SettingType::Text;
    }

    /** @return array{int, int} least and most of a whole number */
    public function bounds(): array
    {
        return match ($this) {
            self::FinishDaysBefore, self::OverdueDays => [0, 60],
            self::PromiseDays => [1, 730],
            self::HoldHours => [1, 72],
            self::LeadTimeDays => [1, 999],
            self::UnknownMinutes => [30, 14_400],
            self::FenceMinutes => [0, 20_160],
            self::OutsideDayMinutes => [60, 1440],
            self::LateMargin => [0, 14_400],
            self::OvertimeHours => [1, 6],
            default => [0, 0],
        };
    }

    /** @return array<string, string> what can be chosen, in words */
    public function choices(): array
    {
        return match ($this) {
            self::BackflushShort => ['ask' => 'asks and goes on', self::REFUSE => 'is refused'],
            self::Loading => ['early' => 'as early as they can be', self::LATE => 'as late as their dates allow'],
            self::PlantCalendar => self::calendars(),
            self::AuthorApproves => ['no' => 'no, a second person does', self::YES => 'yes'],
            default => [],
        };
    }

    /** @return array<string, string> */
    private static function calendars(): array
    {
        $codes = [];
        foreach (Row::all(DB::table('calendars')->orderBy('id')->select('code'), fn (Row $row): Row => $row) as $row) {
            $codes[$row->text('code')] = $row->text('code');
        }

        return $codes;
    }

    /** A value of it in words. */
    public function says(string $value): string
    {
        return $value === '' ? 'none' : $this->choices()[$value] ?? $value;
    }

    /** What is wrong with what was typed; null = nothing. */
    public function wrong(string $typed): ?string
    {
        [$least, $most] = $this->bounds();

        return match ($this->type()) {
            SettingType::Whole => preg_match('/^\d{1,5}$/D', $typed) === 1 && $typed >= $least && $typed <= $most
                ? null
                : "Type a whole number from {$least} to {$most}.",
            SettingType::Choice => isset($this->choices()[$typed]) ? null : 'Choose one of those offered.',
            SettingType::Text => mb_strlen($typed) <= self::LONGEST && preg_match('/\p{C}/u', $typed) !== 1
                ? null
                : 'Type at most '.self::LONGEST.' characters.',
            SettingType::TimeOrNone => $typed === '' ? null : self::timeWrong($typed),
            SettingType::Time => self::timeWrong($typed),
        };
    }

    private static function timeWrong(string $typed): ?string
    {
        return preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $typed) === 1 ? null : 'Type a time such as 16:00.';
    }
}
