<?php

namespace App\StandIn;

/** What a supplier of the demo does next to what was ordered of him. */
enum Turn: string
{
    case AsOrdered = 'as-ordered';
    case Later = 'later';
    case TwoWeeks = 'two-weeks';
    case Dearer = 'dearer';
    case Fewer = 'fewer';
    case Whole = 'whole';
    case Half = 'half';
    case Short = 'short';
    case Over = 'over';
    case Wrong = 'wrong';
    case Rejects = 'rejects';
    case Bill = 'bill';
    case BillDearer = 'bill-dearer';
    case BillFreight = 'bill-freight';

    private const ANSWERS = [self::AsOrdered, self::Later, self::TwoWeeks, self::Dearer, self::Fewer];

    private const DELIVERIES = [self::Whole, self::Half, self::Short, self::Over, self::Wrong];

    /** Of work: pieces go back. */
    private const BACK = [self::Whole, self::Half, self::Rejects];

    private const BILLS = [self::Bill, self::BillDearer, self::BillFreight];

    /** Of so many orders one is answered with another price, and one with another day. */
    private const EVERY = 9;

    /** On its button. */
    public function label(): string
    {
        return match ($this) {
            self::AsOrdered => 'As ordered',
            self::Later => 'A day later',
            self::TwoWeeks => 'Two weeks later',
            self::Dearer => '2 % dearer',
            self::Fewer => 'A tenth fewer',
            self::Whole => 'All',
            self::Half => 'Half, the rest later',
            self::Short => 'Most, the rest never',
            self::Over => 'A fifth more',
            self::Wrong => 'Something else',
            self::Rejects => 'All, one of them spoiled',
            self::Bill => 'As agreed',
            self::BillDearer => '3 % dearer',
            self::BillFreight => 'With freight',
        };
    }

    public function isAnswer(): bool
    {
        return in_array($this, self::ANSWERS, true);
    }

    public function isDelivery(): bool
    {
        return in_array($this, self::DELIVERIES, true) || $this === self::Rejects;
    }

    /**
     * What can be done with an order as it stands, by what it is.
     *
     * @return array<string, list<self>>
     */
    public static function of(bool $isAsked, bool $isComing, bool $isOwed, bool $isWork): array
    {
        return array_filter([
            'Says' => $isAsked ? self::ANSWERS : [],
            'Brings' => $isComing && ! $isWork ? self::DELIVERIES : [],
            'Gives back' => $isComing && $isWork ? self::BACK : [],
            'Bills' => $isOwed ? self::BILLS : [],
        ]);
    }

    /** How an order is answered follows from its number: the same each time the story is told. */
    public static function answerTo(int $order): self
    {
        return match ($order % self::EVERY) {
            2 => self::Dearer,
            5 => self::Later,
            default => self::AsOrdered,
        };
    }

    /** And so does how it is brought, */
    public static function deliveryOf(int $order): self
    {
        return match ($order % self::EVERY) {
            3 => self::Half,
            6 => self::Over,
            7 => self::Short,
            default => self::Whole,
        };
    }

    /** how pieces are given back, */
    public static function backOf(int $order): self
    {
        return match ($order % self::EVERY) {
            3 => self::Half,
            6, 7 => self::Rejects,
            default => self::Whole,
        };
    }

    /** and what is billed for it. */
    public static function billOf(int $order): self
    {
        return match ($order % self::EVERY) {
            1 => self::BillDearer,
            4 => self::BillFreight,
            default => self::Bill,
        };
    }
}
