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

    /** By role, but for the supervisor, who may do all. */
    private const DEEDS = [
        'planner' => [
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
            Deed::Build,
            Deed::Import,
            Deed::SeeMoney,
            Deed::ChangeItems,
            Deed::DrawUp,
        ],
        'storekeeper' => [
            Deed::Look,
            Deed::Issue,
            Deed::Outside,
            Deed::GoodsIn,
            Deed::Receive,
            Deed::Build,
            Deed::Ship,
            Deed::Reverse,
            Deed::SeeMoney,
        ],
        'operator' => [
            Deed::Look,
            Deed::Report,
            Deed::Build,
            Deed::SayAbsent,
        ],
        'buyer' => [
            Deed::Look,
            Deed::GoodsIn,
            Deed::Purchase,
            Deed::Bill,
            Deed::SeeMoney,
            Deed::ChangeItems,
            Deed::KeepSuppliers,
        ],
        'sales' => [
            Deed::Look,
            Deed::EnterCustomerOrder,
            Deed::Cover,
            Deed::Promise,
            Deed::SeeMoney,
            Deed::KeepCustomers,
        ],
        'cost-clerk' => [
            Deed::Look,
            Deed::Close,
            Deed::Bill,
            Deed::Value,
            Deed::Reverse,
            Deed::SeeMoney,
        ],
    ];

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
        return self::DEEDS[$this->value] ?? Deed::cases();
    }
}
