<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

/** By what a charge is spread over goods that came together. */
enum SpreadBy: string
{
    case Value = 'value';
    case Weight = 'weight';
    case Volume = 'volume';
    case Quantity = 'quantity';
    case Evenly = 'evenly';

    public function label(): string
    {
        return match ($this) {
            self::Evenly => 'evenly, by line',
            default => "by {$this->value}",
        };
    }
}
