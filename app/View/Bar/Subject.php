<?php

namespace App\View\Bar;

use App\Access\Role;
use App\Access\Roles;
use App\Models\Person;

/** What the shop's work is made of, in its order; the first row of the bar. */
enum Subject: string
{
    case Today = 'Today';
    case Demand = 'Demand';
    case Orders = 'Orders';
    case Board = 'Board';
    case Parts = 'Parts';
    case Floor = 'Floor';
    case Suppliers = 'Suppliers';
    case Stock = 'Stock';
    case Books = 'Books';
    case Data = 'Data';

    /** @return list<Page>  those the person may see, in the order of the bar */
    public function pages(Person $user): array
    {
        return array_values(array_filter(
            Page::ofSubject($this),
            fn (Page $page): bool => $user->may($page->right()),
        ));
    }

    /** @return list<self>  what somebody works in; what else they may look at, they get to from there */
    public static function of(Roles $roles): array
    {
        $of = array_merge(...array_map(self::ofRole(...), $roles->all));

        return array_values(array_filter(self::cases(), fn (self $one): bool => in_array($one, $of, true)));
    }

    /** @return list<self> */
    private static function ofRole(Role $role): array
    {
        return match ($role) {
            Role::Supervisor => self::cases(),
            Role::Planner => [self::Today, self::Demand, self::Orders, self::Board, self::Parts, self::Floor,
                self::Suppliers, self::Stock, self::Data],
            Role::Storekeeper => [self::Today, self::Demand, self::Orders, self::Parts, self::Floor, self::Suppliers,
                self::Stock],
            Role::Operator => [self::Today, self::Orders, self::Board, self::Parts, self::Floor, self::Stock],
            Role::Buyer => [self::Today, self::Orders, self::Parts, self::Suppliers, self::Stock],
            Role::Sales => [self::Today, self::Demand, self::Orders, self::Board, self::Stock],
            Role::CostClerk => [self::Today, self::Orders, self::Floor, self::Suppliers, self::Stock, self::Books],
        };
    }
}
