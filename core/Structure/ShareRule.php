<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** By what an output of an order carries its part of the cost. */
enum ShareRule: string
{
    /** What the others leave. */
    case Rest = 'rest';
    /** By pieces alone. */
    case Quantity = 'quantity';
    /** By pieces times what one is worth. */
    case Value = 'value';
    /** So many per cent, whatever comes of it. */
    case Percent = 'percent';
    /** At a set value, by which the others are the cheaper. */
    case SetValue = 'set_value';

    public function label(): string
    {
        return match ($this) {
            self::Rest => 'the rest',
            self::Quantity => 'by pieces',
            self::Value => 'by value',
            self::Percent => 'per cent',
            self::SetValue => 'at a set value',
        };
    }
}
