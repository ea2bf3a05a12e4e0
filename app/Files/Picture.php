<?php

namespace App\Files;

use GdImage;

/** A picture drawn anew: upright, no larger than a screen shows, and without what the camera wrote into it. */
final readonly class Picture
{
    /** Points of what comes in: more would not fit in memory. */
    private const MOST_POINTS = 40_000_000;

    /** Points of the longer side of what is kept. */
    private const LONGEST = 2400;

    private const QUALITY = 86;

    private function __construct(public string $content, public FileType $type, public int $width, public int $height)
    {
    }

    /** @throws FileRefused when it cannot be drawn */
    public static function drawnAnew(string $content, FileType $type): self
    {
        $size = @getimagesizefromstring($content);
        if ($size === false) {
            throw FileRefused::notAPicture();
        }
        if ($size[0] * $size[1] > self::MOST_POINTS) {
            throw FileRefused::tooManyPoints(intdiv($size[0] * $size[1], 1_000_000), self::MOST_POINTS / 1_000_000);
        }
        $image = @imagecreatefromstring($content);
        if ($image === false) {
            throw FileRefused::notAPicture();
        }
        $image = self::upright(self::fitting($image), self::turned($content));

        return new self(self::written($image, $type), $type, imagesx($image), imagesy($image));
    }

    private static function fitting(GdImage $image): GdImage
    {
        $longest = max(imagesx($image), imagesy($image));
        if ($longest <= self::LONGEST) {
            return $image;
        }
        $width = max(1, intdiv(imagesx($image) * self::LONGEST, $longest));
        $height = max(1, intdiv(imagesy($image) * self::LONGEST, $longest));

        return imagescale($image, $width, $height, IMG_BILINEAR_FIXED) ?: throw FileRefused::notAPicture();
    }

    private static function upright(GdImage $image, int $degrees): GdImage
    {
        return $degrees === 0 ? $image : (imagerotate($image, $degrees, 0) ?: $image);
    }

    /** Degrees against the clock by which it stands upright (Exif 2.32, tag 0x0112). */
    private static function turned(string $content): int
    {
        if (! str_starts_with($content, "\xFF\xD8")) {
            return 0;
        }
        $stream = fopen('php://memory', 'r+b');
        if ($stream === false) {
            return 0;
        }
        fwrite($stream, $content);
        rewind($stream);
        $said = @exif_read_data($stream);
        fclose($stream);

        return match (is_array($said) ? $said['Orientation'] ?? 1 : 1) {
            3 => 180,
            6 => 270,
            8 => 90,
            default => 0,
        };
    }

    private static function written(GdImage $image, FileType $type): string
    {
        ob_start();
        if ($type === FileType::Png) {
            imagesavealpha($image, true);
            imagepng($image, null, 6);
        } else {
            imagejpeg($image, null, self::QUALITY);
        }

        return (string) ob_get_clean();
    }
}
