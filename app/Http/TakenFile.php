<?php

namespace App\Http;

use App\Actions\Files\TypedFile;
use App\Models\AttachmentKind;
use Illuminate\Http\UploadedFile;

/** A file a person sent that is to hang on something. */
final class TakenFile
{
    /** kB. */
    private const MOST = 10_240;

    private const LONGEST = 120; // characters of its name

    /** @return list<string> what holds for each */
    public static function rules(): array
    {
        return ['bail', 'file', 'max:'.min(self::MOST, Upload::limit())];
    }

    public static function tooBig(): string
    {
        return 'A file has '.Upload::say(min(self::MOST, Upload::limit())).' at most.';
    }

    /** @param  string  $name  it is to be called; '' = as the file is */
    public static function of(
        UploadedFile $file,
        AttachmentKind $kind,
        string $name = '',
        ?int $step = null,
    ): TypedFile {
        $own = trim((string) preg_replace('/[\x00-\x1F\x7F\/\\\\"]+/', ' ', $file->getClientOriginalName()));
        $called = $name !== '' ? $name : mb_strimwidth($own === '' ? 'file' : $own, 0, self::LONGEST, '…');

        return new TypedFile($file->getContent(), $called, $kind, $step);
    }
}
