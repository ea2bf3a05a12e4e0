<?php

namespace App\View\Bar;

use App\Access\Deed;
use App\Access\Role;

/**
 * The pages of the bar by the name of their route: the one place that says where each stands, what it is called, who
 * sees it and which key leads there.
 */
enum Page: string
{
    case Today = 'today';
    case CustomerOrders = 'customer-orders.index';
    case Promise = 'promise.index';
    case Ship = 'ship.index';
    case Orders = 'orders.index';
    case Release = 'release.index';
    case Rank = 'rank.index';
    case Combine = 'combine.index';
    case SetUps = 'set-ups.index';
    case Builds = 'builds.index';
    case Apart = 'apart.index';
    case Board = 'board';
    case Late = 'late.index';
    case Plans = 'plans.index';
    case Dispatch = 'dispatch.index';
    case Absence = 'absence.index';
    case Calendars = 'calendars.index';
    case Shortages = 'shortages.index';
    case PartsOfOrders = 'parts.index';
    case Issue = 'issue.index';
    case Returns = 'returns.index';
    case Questions = 'questions.index';
    case Stations = 'station.index';
    case Receive = 'receive.index';
    case Purchases = 'purchases.index';
    case GoodsIn = 'deliveries.index';
    case Gate = 'gate.index';
    case SendOut = 'send-outs.index';
    case AtSuppliers = 'at-suppliers.index';
    case Claims = 'claims.index';
    case Chase = 'chase.index';
    case Mails = 'mails.index';
    case Bills = 'bills.index';
    case NotBilled = 'owed.index';
    case Stock = 'stock.index';
    case Flow = 'flow.index';
    case Bookings = 'bookings.index';
    case Periods = 'periods.index';
    case Standards = 'standards.index';
    case Items = 'items.index';
    case Drafts = 'drafts.index';
    case WorkCentres = 'centres.index';
    case Customers = 'customers.index';
    case Suppliers = 'suppliers.index';
    case Crews = 'crews.index';
    case Places = 'places.index';
    case Units = 'units.index';
    case Settings = 'settings.index';
    case Changes = 'changes.index';
    case Import = 'import.index';
    case People = 'people.index';

    private const LABELS = [
        'today' => 'Today',
        'customer-orders.index' => 'Customer orders',
        'promise.index' => 'Promise a date',
        'ship.index' => 'Ship',
        'orders.index' => 'All orders',
        'release.index' => 'Release',
        'rank.index' => 'Rank',
        'combine.index' => 'Combine',
        'set-ups.index' => 'Set up once',
        'builds.index' => 'Builds',
        'apart.index' => 'Take apart',
        'board' => 'Board',
        'late.index' => 'Late orders',
        'plans.index' => 'Plans and what-ifs',
        'dispatch.index' => 'Dispatch lists',
        'absence.index' => 'Down and away',
        'calendars.index' => 'Calendars',
        'shortages.index' => 'Shortages',
        'parts.index' => 'Parts of orders',
        'issue.index' => 'Issue',
        'returns.index' => 'Back to stores',
        'questions.index' => 'Questions',
        'station.index' => 'Stations',
        'receive.index' => 'Receive',
        'purchases.index' => 'Purchases',
        'deliveries.index' => 'Goods in',
        'gate.index' => 'At the gate',
        'send-outs.index' => 'Send out',
        'at-suppliers.index' => 'At suppliers',
        'claims.index' => 'Claims',
        'chase.index' => 'Chase',
        'mails.index' => 'Mail out',
        'bills.index' => 'Bills',
        'owed.index' => 'Not billed',
        'stock.index' => 'On hand',
        'flow.index' => 'Coming and going',
        'bookings.index' => 'Bookings',
        'periods.index' => 'Periods',
        'standards.index' => 'Standard costs',
        'items.index' => 'Items',
        'drafts.index' => 'Drafts',
        'centres.index' => 'Work centres',
        'customers.index' => 'Customers',
        'suppliers.index' => 'Suppliers',
        'crews.index' => 'Crews',
        'places.index' => 'Places',
        'units.index' => 'Units',
        'settings.index' => 'Settings',
        'changes.index' => 'Changes',
        'import.index' => 'Files in and out',
        'people.index' => 'People',
    ];

    public function label(): string
    {
        return self::LABELS[$this->value];
    }

    public function subject(): Subject
    {
        return match ($this) {
            self::Today => Subject::Today,
            self::CustomerOrders, self::Promise, self::Ship => Subject::Demand,
            self::Orders, self::Release, self::Rank, self::Combine, self::SetUps, self::Builds,
            self::Apart => Subject::Orders,
            self::Board, self::Late, self::Plans, self::Dispatch, self::Absence, self::Calendars => Subject::Board,
            self::Shortages, self::PartsOfOrders, self::Issue, self::Returns, self::Questions => Subject::Parts,
            self::Stations, self::Receive => Subject::Floor,
            self::Purchases, self::GoodsIn, self::Gate, self::SendOut, self::AtSuppliers, self::Claims, self::Chase,
            self::Mails, self::Bills, self::NotBilled => Subject::Suppliers,
            self::Stock, self::Flow, self::Bookings => Subject::Stock,
            self::Periods, self::Standards => Subject::Books,
            self::Items, self::Drafts, self::WorkCentres, self::Crews, self::Customers, self::Suppliers,
            self::Places, self::Units, self::Changes, self::Settings, self::Import, self::People => Subject::Data,
        };
    }

    /** @return list<self>  in the order of the bar */
    public static function ofSubject(Subject $subject): array
    {
        /** @var array<string, list<self>> $pages */
        static $pages = [];
        if ($pages === []) {
            foreach (self::cases() as $page) {
                $pages[$page->subject()->value][] = $page;
            }
        }

        return $pages[$subject->value] ?? [];
    }

    public function right(): Deed
    {
        return match ($this) {
            self::Import => Deed::Import,
            self::People => Deed::People,
            self::Standards, self::Bills, self::NotBilled => Deed::SeeMoney,
            default => Deed::Look,
        };
    }

    /** What is pressed after g. */
    public function key(): ?string
    {
        return match ($this) {
            self::Today => 't',
            self::CustomerOrders => 'c',
            self::Ship => 'h',
            self::Orders => 'o',
            self::Release => 'r',
            self::Board => 'b',
            self::Late => 'l',
            self::Dispatch => 'd',
            self::Shortages => 'm',
            self::Issue => 'i',
            self::Questions => 'q',
            self::Stations => 's',
            self::Receive => 'v',
            self::Purchases => 'p',
            self::AtSuppliers => 'u',
            self::Stock => 'k',
            self::Items => 'e',
            default => null,
        };
    }

    /** Where a role's work begins. */
    public static function first(Role $role): self
    {
        return match ($role) {
            Role::Supervisor => self::Today,
            Role::Planner => self::Board,
            Role::Storekeeper => self::Issue,
            Role::Operator => self::Stations,
            Role::Buyer => self::Shortages,
            Role::Sales => self::CustomerOrders,
            Role::CostClerk => self::Periods,
        };
    }

    /** The page a route belongs to: itself, or one that is opened from it. */
    public static function at(?string $route): ?self
    {
        $room = explode('.', (string) $route)[0];
        $room = match ($room) {
            'slips' => 'issue',
            'reservations' => 'stock',
            'consignments' => 'send-outs',
            'customer-lines' => 'customer-orders',
            'outside' => 'at-suppliers',
            'structures', 'routings', 'retired-items', 'replaced-items', 'files' => 'items',
            'work_centres' => 'centres',
            default => $room,
        };

        return self::tryFrom($room) ?? self::tryFrom("{$room}.index");
    }
}
