<?php

namespace App\Access;

/** The roles of the shop and the one map of what each may do. */
enum Role: string
{
    case Supervisor = 'supervisor';
    case Planner = 'planner';
    case Storekeeper = 'storekeeper';
    case Operator = 'operator';
    case Buyer = 'buyer';
    case Sales = 'sales';
    case CostClerk = 'cost-clerk';

    public function label(): string
    {
        return match ($this) {
            self::Sales => 'sales desk',
            self::CostClerk => 'cost clerk',
            default => $this->value,
        };
    }

    public function may(Deed $deed): bool
    {
        return in_array($deed, $this->deeds(), true);
    }

    /** @return list<Deed> */
    public function deeds(): array
    {
        return match ($this) {
            self::Supervisor => Deed::cases(),
            self::Planner => [
                Deed::Look,
                Deed::EnterCustomerOrder,
                Deed::Cover,
                Deed::ChangeOrder,
                Deed::Plan,
                Deed::SayAbsent,
                Deed::Promise,
                Deed::Reserve,
                Deed::Purchase,
                Deed::Release,
                Deed::Import,
                Deed::SeeMoney,
            ],
            self::Storekeeper => [
                Deed::Look,
                Deed::Issue,
                Deed::GoodsIn,
                Deed::Receive,
                Deed::Ship,
                Deed::Reverse,
                Deed::SeeMoney,
            ],
            self::Operator => [
                Deed::Look,
                Deed::Report,
                Deed::SayAbsent,
            ],
            self::Buyer => [
                Deed::Look,
                Deed::GoodsIn,
                Deed::Purchase,
                Deed::SeeMoney,
            ],
            self::Sales => [
                Deed::Look,
                Deed::EnterCustomerOrder,
                Deed::Cover,
                Deed::Promise,
                Deed::SeeMoney,
            ],
            self::CostClerk => [
                Deed::Look,
                Deed::Close,
                Deed::Value,
                Deed::Reverse,
                Deed::SeeMoney,
            ],
        };
    }
}
