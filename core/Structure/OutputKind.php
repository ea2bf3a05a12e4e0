<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** What comes out of an order: what it is made for, made beside it on purpose, left over, or taken out of a part. */
enum OutputKind: string
{
    case Product = 'product';
    case CoProduct = 'co_product';
    case ByProduct = 'by_product';
    case Recovered = 'recovered';

    /** What comes out beside the product. */
    public const BESIDE = [self::CoProduct, self::ByProduct, self::Recovered];

    public function label(): string
    {
        return match ($this) {
            self::Product => 'product',
            self::CoProduct => 'co-product',
            self::ByProduct => 'by-product',
            self::Recovered => 'recovered part',
        };
    }
}
