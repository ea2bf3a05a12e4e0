<?php

namespace App\Http\Bar;

use App\Access\Role;
use App\Models\User;

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
    public function pages(User $user): array
    {
        return array_values(array_filter(
            Page::cases(),
            fn (Page $page): bool => $page->subject() === $this && $user->role->may($page->right()),
        ));
    }

    /** @return list<self>  what a role works in; what else it may look at, it gets to from there */
    public static function of(Role $role): array
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
            Role::CostClerk => [self::Today, self::Orders, self::Floor, self::Stock, self::Books],
        };
    }
}
