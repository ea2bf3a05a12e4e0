<?php

namespace App\Files;

use KeepPace\Core\Refused;

/** Why a file cannot hang on something. */
final class FileRefused extends Refused
{
    public static function unknownType(): static
    {
        return self::because('It is none of what can hang here: '.FileType::words().'.', 'file');
    }

    public static function notAPicture(): static
    {
        return self::because('This picture cannot be drawn. Save it once more, as PNG or JPEG.', 'file');
    }

    public static function noPicture(): static
    {
        return self::because('Only a picture can be shown as one: PNG, JPEG or WebP.', 'file');
    }

    public static function tooManyPoints(int $points, int $most): static
    {
        return self::because("The picture has {$points} megapixels; {$most} are the most. Save a smaller one.", 'file');
    }
}
