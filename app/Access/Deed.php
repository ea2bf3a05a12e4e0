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
    case Bill = 'bill';
    case Value = 'value';
    case Release = 'release';
    case Issue = 'issue';
    case Report = 'report';
    case Outside = 'outside';
    case GoodsIn = 'goods-in';
    case Receive = 'receive';
    case Build = 'build';
    case Ship = 'ship';
    case Close = 'close';
    case Reverse = 'reverse';
    case Import = 'import';
    case People = 'people';
    case SeeMoney = 'see-money';
    case ChangeItems = 'change-items';
    case DrawUp = 'draw-up';
    case Approve = 'approve';
    case KeepCustomers = 'keep-customers';
    case KeepSuppliers = 'keep-suppliers';
    case SetUp = 'set-up';

    private const LABELS = [
        'look' => 'look at the pages',
        'enter-customer-order' => 'enter and change customer orders',
        'cover' => 'cover customer lines',
        'change-order' => 'change orders',
        'plan' => 'change the plan',
        'say-absent' => 'say what is down and who is away',
        'promise' => 'ask for and hold dates',
        'rank' => 'set the rank of orders',
        'reserve' => 'keep stock for an order',
        'purchase' => 'order of suppliers',
        'bill' => 'enter and accept bills',
        'value' => 'value stock and close periods',
        'release' => 'release orders',
        'issue' => 'issue components',
        'report' => 'count and pass on',
        'outside' => 'send pieces to suppliers and book them back',
        'goods-in' => 'book goods in',
        'receive' => 'receive from orders',
        'build' => 'book what was built',
        'ship' => 'ship',
        'close' => 'close orders',
        'reverse' => 'reverse bookings',
        'import' => 'import files',
        'people' => 'say who may log in',
        'see-money' => 'see what things cost',
        'change-items' => 'enter and change items',
        'draw-up' => 'draw up structures and routings',
        'approve' => 'approve structures and routings',
        'keep-customers' => 'enter and change customers',
        'keep-suppliers' => 'enter and change suppliers',
        'set-up' => 'set what the shop goes by',
    ];

    public function label(): string
    {
        return self::LABELS[$this->value];
    }
}
