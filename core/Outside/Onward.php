<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

/** Where pieces go that a supplier has done: to us, or without passing our house straight on. */
enum Onward: string
{
    case Here = 'here';

    /** To the supplier of the next step. */
    case Supplier = 'supplier';

    /** To the customer whose line they are made for. */
    case Customer = 'customer';

    /** To the orders here that wait for them. */
    case Waiting = 'waiting';
}
