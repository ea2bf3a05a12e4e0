<?php

namespace App\Access;

/** What a person may be allowed to do; routes and pages ask by these. */
enum Deed: string
{
    case Look = 'look';
    case EnterCustomerOrder = 'enter-customer-order';
    case Cover = 'cover';
    case ChangeOrder = 'change-order';
    case Plan = 'plan';
    case SayAbsent = 'say-absent';
    case Promise = 'promise';
    case Rank = 'rank';
    case Reserve = 'reserve';
    case Purchase = 'purchase';
    case Value = 'value';
    case Release = 'release';
    case Issue = 'issue';
    case Report = 'report';
    case FromSupplier = 'from-supplier';
    case GoodsIn = 'goods-in';
    case Receive = 'receive';
    case Ship = 'ship';
    case Close = 'close';
    case Reverse = 'reverse';
    case Import = 'import';
    case People = 'people';
    case SeeMoney = 'see-money';
    case ChangeItems = 'change-items';
    case DrawUp = 'draw-up';
    case Approve = 'approve';

    public function label(): string
    {
        return match ($this) {
            self::Look => 'look at the pages',
            self::EnterCustomerOrder => 'enter and change customer orders',
            self::Cover => 'cover customer lines',
            self::ChangeOrder => 'change orders',
            self::Plan => 'change the plan',
            self::SayAbsent => 'say what is down and who is away',
            self::Promise => 'ask for and hold dates',
            self::Rank => 'set the rank of orders',
            self::Reserve => 'keep stock for an order',
            self::Purchase => 'order of suppliers',
            self::Value => 'value stock and close periods',
            self::Release => 'release orders',
            self::Issue => 'issue components',
            self::Report => 'count and pass on',
            self::FromSupplier => 'book what comes back from suppliers',
            self::GoodsIn => 'book goods in',
            self::Receive => 'receive from orders',
            self::Ship => 'ship',
            self::Close => 'close orders',
            self::Reverse => 'reverse bookings',
            self::Import => 'import files',
            self::People => 'say who may log in',
            self::SeeMoney => 'see what things cost',
            self::ChangeItems => 'enter and change items',
            self::DrawUp => 'draw up structures and routings',
            self::Approve => 'approve structures and routings',
        };
    }
}
