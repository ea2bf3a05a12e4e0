<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** Why something became scrap: the trade's usual classes. */
enum ScrapClass: string
{
    case Material = 'material';
    case Setup = 'setup';
    case Machining = 'machining';
    case Handling = 'handling';
    case Expired = 'expired';
    case Design = 'design';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Material => 'faulty material',
            self::Setup => 'setup piece',
            self::Machining => 'made wrong',
            self::Handling => 'damaged in handling',
            self::Expired => 'past its date',
            self::Design => 'wrong drawing or structure',
            self::Other => 'other',
        };
    }
}
