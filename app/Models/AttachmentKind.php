<?php

namespace App\Models;

/** What a file is to what it hangs on. */
enum AttachmentKind: string
{
    case Picture = 'picture';
    case Drawing = 'drawing';
    case Instruction = 'instruction';
    case Certificate = 'certificate';
    case Other = 'other';

    public function label(): string
    {
        return $this === self::Other ? 'other paper' : $this->value;
    }

    /** @return array<string, string> */
    public static function options(): array
    {
        $labels = array_map(fn (self $kind): string => $kind->label(), self::cases());

        return array_combine(array_column(self::cases(), 'value'), $labels);
    }
}
