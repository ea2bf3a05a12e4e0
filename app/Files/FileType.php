<?php

namespace App\Files;

/** What a file that hangs on something may be, told by what is in it and never by its name. */
enum FileType: string
{
    case Pdf = 'pdf';
    case Png = 'png';
    case Jpeg = 'jpeg';
    case Text = 'txt';

    private const BY_CONTENT = [
        'application/pdf' => self::Pdf,
        'image/png' => self::Png,
        'image/jpeg' => self::Jpeg,
        'image/webp' => self::Jpeg, // drawn anew as one
        'text/plain' => self::Text,
        'text/csv' => self::Text,
    ];

    /** Null where it is none of the list. */
    public static function of(string $content): ?self
    {
        $found = (new \finfo(FILEINFO_MIME_TYPE))->buffer($content);

        return self::BY_CONTENT[(string) $found] ?? null;
    }

    public function isPicture(): bool
    {
        return $this === self::Png || $this === self::Jpeg;
    }

    /** By which it is sent (RFC 2046, RFC 7763). */
    public function mime(): string
    {
        return match ($this) {
            self::Pdf => 'application/pdf',
            self::Png => 'image/png',
            self::Jpeg => 'image/jpeg',
            self::Text => 'text/plain; charset=utf-8',
        };
    }

    /** What can hang on something, in words. */
    public static function words(): string
    {
        return 'PDF, PNG, JPEG, WebP or plain text (DXF and STEP are)';
    }
}
